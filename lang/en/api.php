<?php

declare(strict_types=1);

// What programs are told, and the tokens by which they read.
return [
    'no_token' => 'Send a token that holds: Authorization: Bearer TOKEN. It is made under Menu, Account.',
    'not_in_scope' => 'This token does not read :scope.',
    'tokens' => 'Tokens for programs',
    'what' => 'A program with a token of yours reads what you may see, and changes nothing. How is said in <a href=":docs">OpenAPI</a>.',
    'name' => 'What it is for',
    'scope' => [
        'records' => 'challenges, groups, cars and runs',
        'findings' => 'findings',
    ],
    'make' => 'Make a token',
    'new' => 'The new token, shown this once:',
    'used' => 'last used :when',
    'unused' => 'not used yet',
    'revoke' => 'Revoke',
    'form' => [
        'name_it' => 'Say what the token is for, in up to 80 characters.',
        'choose_scopes' => 'Choose what the token reads.',
    ],
    'done' => [
        'revoked' => 'The token opens nothing any more.',
    ],
];
