<?php

declare(strict_types=1);

// What stands around every page, and small pieces of sentences.
return [
    'errors' => [
        'of_field' => ':field: :problem',
        'one_thing_to_look_at' => 'One thing to look at.',
        'things_to_look_at' => ':count things to look at.',
        'nothing_was_saved_and_nothing_you' => '<strong>:things</strong> Nothing was saved, and nothing you typed is lost.',
    ],
    'field' => [
        'optional' => '(optional)',
        'in' => 'in :unit',
    ],
    'layout' => [
        'skivo' => ':title · Skivo',
        'skip_to_the_content' => 'Skip to the content',
        'skivo_2' => 'Skivo',
        'cm_g' => 'cm · g',
        'in_oz' => 'in · oz',
        'menu' => 'Menu',
        'all_challenges' => 'All challenges',
        'every_run_on_record' => 'Every run on record',
        'class_sheet_csv' => 'Class sheet (CSV)',
        'the_room' => 'The room: who is at which station',
        'educators' => 'Educators',
        'tablets_and_the_board' => 'Tablets and the board',
        'what_if' => 'What if…',
        'parts_list' => 'Parts list',
        'keys' => 'Keys',
        'account' => 'Account',
        'sign_out' => 'Sign out',
        'undo' => 'Undo',
        'put_it_back' => 'Put it back',
        'tab' => 'Tab',
        'next_field_button_or_point_of' => 'next field, button or point of a figure',
        'esc' => 'Esc',
        'leave_a_field_close_this' => 'leave a field, close this',
        'show_the_keys_outside_a_field' => 'show the keys (outside a field)',
        'working_it_out' => 'Working it out …',
        'close' => 'Close',
    ],
    'moment' => [
    ],
    'stage_line' => [
        'stages_of_the_challenge' => 'Stages of the challenge',
        'plan' => 'Plan',
        'build' => 'Build',
        'check' => 'Check',
        'bench' => 'Bench',
        'run' => 'Run',
        'findings' => 'Findings',
    ],
    'asked_from_open_page' => [
        'this_page_is_signed_out_or' => 'This page is signed out, or has been open for more than a day. Open it again.',
    ],
    'open_build_after_safety' => [
        'read_the_safety_sheet_first_then' => 'Read the safety sheet first; then Build is open.',
    ],
    'form' => [
        'if_it_is_right_save_it' => ':questions If it is right, save it again as it stands.',
    ],
    'lists' => [
        'and' => ':names and :last',
        'more' => ':count more',
        'or' => ':names or :last',
    ],
    'relation_reading' => [
        'version' => '· version :version',
    ],
    'moment_utc' => ':at UTC',
    'phrase' => [
        'possessive' => ':name’s',
        'possessive_s' => ':name’',
    ],
    'unit' => [
        'mm' => 'millimetres',
        'cm' => 'centimetres',
        'm' => 'metres',
        'in' => 'inches',
        'ft' => 'feet',
        'yd' => 'yards',
        'stud' => 'studs',
        'g' => 'grams',
        'kg' => 'kilograms',
        'oz' => 'ounces',
        'lb' => 'pounds',
        's' => 'seconds',
        'min' => 'minutes',
    ],
    'min' => 'min',
    'yes' => 'yes',
    'gone_device' => 'a device that is gone',
];
