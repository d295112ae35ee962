<?php

declare(strict_types=1);

// What is stored, where, and for how long.
return [
    'title' => 'What Skivo stores',
    'line' => 'In short: groups have names, children do not; everything lies on your school’s own machine; you can take all of it along, and delete it.',
    'what' => 'What',
    'where' => 'Where',
    'how_long' => 'How long',
    'here' => 'in the database of the machine that serves Skivo, and in its backups',
    'rows' => [
        'account' => ['Of an educator: the name that is shown, the email address, and the password as a hash', 'until the account is deleted, under Menu, Account'],
        'sign_ins' => ['Where an educator is signed in: kind of browser and system, when it was last seen', ':days days after it was last seen'],
        'class' => ['Of a class: its plan, the names of groups, cars, runs, checks, measurements, and who recorded what: an educator by name, a tablet by its place', ':retention'],
        'notebook' => ['What groups write, draw and photograph. Photos are drawn anew, without place, time or device; an adult looks at them before anybody else does', ':retention'],
        'tablets' => ['Tablets and helpers’ phones: a name such as “Lane 1”, and a token as a hash; no account, no child’s name', ':removed days after they are cut off'],
        'removed' => ['What was removed', ':removed days, in which it can be restored; then it is gone for good'],
        'films' => ['Films and photos that are measured', 'not at all: they stay on the device; one picture of a run is kept with it where somebody keeps it'],
    ],
    'retention' => [
        'none' => 'until it is removed: this school set no limit',
        'months' => 'until it is removed, or nobody has touched the challenge for :months months: then it is removed',
    ],
    'nothing_leaves' => 'Nothing is sent anywhere. There are no advertisements, no counters, no outside services, and one cookie that keeps you signed in (or a tablet joined).',
    'yours' => 'Yours to take and to delete: Menu, Account has everything of yours in one file of open formats, and deletes the account with every challenge of its own. What you did in a colleague’s challenge stays with that challenge, without your name.',
    'school' => 'Who may use Skivo, and what may be recorded, is for the school to say: its rules and the law of the place come first.',
    'link' => 'What Skivo stores',
];
