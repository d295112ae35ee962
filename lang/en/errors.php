<?php

declare(strict_types=1);

// What is said when a page can’t be shown.
return [
    'page' => [
        'there_is_nothing_here' => 'There is nothing here',
        'the_address_may_be_mistyped_or' => 'The address may be mistyped, or what was here belongs to another account.',
        'this_page_lay_open_too_long' => 'This page has been open too long',
        'go_back_reload_the_page_and' => 'Go back, reload the page and send it again. What you typed is still in its fields.',
        'too_many_attempts' => 'Too many attempts',
        'wait_a_minute_then_try_again' => 'Wait a minute, then try again.',
        'there_is_no_room_left_on' => 'There is no room left on the disk',
        'nothing_was_stored_and_what_was' => 'Nothing was stored, and what was stored before is safe. Free some room on the machine that serves Skivo, then send it again.',
        'skivo_is_away' => 'Skivo is away for a moment',
        'try_again_in_a_minute_nothing' => 'Try again in a minute. Nothing is lost.',
        'something_went_wrong_on_our_side' => 'Something went wrong on our side',
        'what_you_had_stored_is_safe' => 'What you had stored is safe. Go back and try again; if it happens again, restart Skivo.',
        'no_database_for_runs' => 'Where runs are stored does not answer just now. Until it does, runs wait on the device.',
        'no_room_for_runs' => 'There is no room left on the disk of the machine that serves Skivo. Free some: until then runs wait on the device.',
        'you_look_on' => 'You look on in this challenge: only its owner and co-teachers change it.',
        'is_the_owners' => 'Only the educator who set this challenge deletes it or lets others in.',
        'groups_are_locked' => 'Groups are locked just now. Ask the adult who runs the challenge.',
        'not_an_instrument' => 'This token is not an instrument’s.',
        'to_the_challenges' => 'To the challenges',
    ],
];
