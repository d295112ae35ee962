<?php

declare(strict_types=1);

// A car that goes home with its group.
return [
    'group' => [
        'title' => ':group at home',
        'line' => 'What you send waits for your teacher, and then stands beside the class.',
        'opens_nothing' => 'This link opens nothing any more. Ask your teacher for a new one.',
        'until' => 'The link works until :date. No names of children, please.',
        'careful' => 'Mind the balloons: none in the mouth of a small child, and no pieces left lying. A grown-up is near.',
        'a_run' => 'A run',
        'how_far' => 'How far it went',
        'what_was_different' => 'What was different about the car',
        'only_if' => 'Only what you changed.',
        'words' => 'In your words',
        'send_run' => 'Send the run',
        'a_note' => 'A note',
        'send_note' => 'Send the note',
        'a_photo' => 'A photo',
        'photo_how' => 'Of the car, not of people. It is made smaller, and loses place and time.',
        'send_photo' => 'Send the photo',
        'sent' => 'What you sent',
        'nothing_yet' => 'Nothing yet.',
    ],
    'kind' => ['run' => 'Run', 'note' => 'Note', 'photo' => 'Photo'],
    'state' => ['waits' => 'waits for your teacher', 'accepted' => 'stands beside the class', 'refused' => 'was put aside'],
    'class' => [
        'title' => 'At home',
        'heading' => 'Cars that went home',
        'how' => 'A link lets one group send runs, notes and photos from home until the day that you set. Nothing of it counts in the class’s findings: what you say yes to stands here beside the class, marked as from home.',
        'for' => 'A link for :group',
        'until' => 'Until',
        'make' => 'Make the link',
        'open_until' => 'open until :date',
        'closed' => 'closed',
        'waits' => ':count waits for your yes|:count wait for your yes',
        'yes' => 'Yes, it may stand here',
        'no' => 'Put it aside',
        'at_home' => 'at home',
        'mean' => 'At home :mean on average over :count; in class :class.',
        'runs' => ':count run|:count runs',
        'none' => 'Nothing came yet.',
        'look' => 'Look at the photo',
    ],
    'form' => [
        'say_what_it_is' => 'Say what you send.',
        'how_far' => 'Say how far it went.',
        'how_far_up_to' => 'A distance above 0 and up to :greatest.',
        'write_something' => 'Write something first.',
        'choose_a_photo' => 'Choose a photo (JPEG, PNG or WebP) of up to 12 MB.',
        'full' => 'The notebook at home is full. Ask your teacher for a new link.',
        'until' => 'Choose a day from tomorrow on, within :days days.',
    ],
    'done' => [
        'sent' => 'Sent. It waits for your teacher.',
    ],
];
