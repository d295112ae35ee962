<?php

declare(strict_types=1);

// Everything on paper for the day of a class.
return [
    'title' => 'Print for the day · :challenge',
    'heading' => 'Print everything for the day',
    'what' => 'One document with what this class needs, in the number that it needs. Change a number or a tick, and update. Print at 100 %, or templates come out at the wrong size.',
    'print' => 'Print about :count side|Print about :count sides',
    'sides' => ':count side|:count sides',
    'copies' => 'Copies: :paper',
    'size' => 'Size of the paper',
    'a4' => 'A4',
    'letter' => 'US Letter',
    'update' => 'Update',
    'preview' => 'What is printed',
    'brief' => ['name' => 'Class brief', 'what' => 'for the wall: what wins, the rules, the kit, when'],
    'safety' => ['name' => 'Safety sheet', 'what' => 'the cautions of these materials'],
    'helpers' => ['name' => 'Helpers’ sheet', 'what' => 'one for each adult who helps'],
    'booklet' => ['name' => 'Booklet', 'what' => 'the steps to build, one for each group; print on both sides, fold in the middle'],
    'prepare' => ['name' => 'To prepare', 'what' => 'the steps that adults do before the class comes'],
    'templates' => ['name' => 'Templates', 'what' => 'to trace and cut, at full size'],
    'labels' => ['name' => 'Kit labels', 'what' => 'one for each bag of parts'],
    'cards' => ['name' => 'Table cards', 'what' => 'one for each group, with the code for its tablet'],
    'order' => ['name' => 'Run order', 'what' => 'who runs when, on which lane'],
    'notebooks' => ['name' => 'Notebook sheets', 'what' => 'one for each group'],
    'tape' => ['name' => 'Tape strips', 'what' => 'the lane’s tape measure, to cut and stick together'],
];
