<?php

declare(strict_types=1);

// How a class goes about its question: which two are compared, and who builds which.
return [
    'name' => [
        'half_and_half' => 'Half and half',
        'change_one_thing' => 'Change one thing',
        'free' => 'Free design',
    ],
    'what' => [
        'half_and_half' => 'Half the groups build one, half the other. All else is the same.',
        'change_one_thing' => 'Every group builds one, runs it, changes only that, and runs again.',
        'free' => 'Groups build what they like.',
    ],
    'size' => ':what :size',
    'builds' => 'Builds with: :one',
    'begins' => 'Begins with: :one. Then changes to: :other',
    'who_builds' => 'With :what',
    'who_begins' => 'First with :what',
    'for_those' => ':name (for the groups that build with them)',
    'rule' => [
        'half_and_half' => 'Half of the groups build with :one, the others with :other. Everything else is the same.',
        'change_one_thing' => 'Half of the groups begin with :one, the others with :other. After its tries each changes to the other, and nothing else, and runs again.',
        'fill' => 'Every balloon is filled to :size.',
        'coins' => 'Cars with :lighter carry :mass more, about one coin, so that all cars weigh the same. Check it with a scale.|Cars with :lighter carry :mass more, about :count coins, so that all cars weigh the same. Check it with a scale.',
        'no_coins' => 'Cars with :lighter are about :mass lighter. Coins on them would make all cars weigh the same.',
    ],
    'asked' => [
        'change' => ':What: from :from to :to.',
        'change_to' => ':What: now :to.',
        'none' => 'Nobody asks you for a change now.',
        'is_made' => 'Your changed car is on record. Now build it, check it and guess.',
        'waits' => 'Then again, once their cars are changed: :groups',
    ],
    'who' => [
        'title' => 'Who builds what',
        'drawn' => 'Drawn by lot. Change it where a group must build the other.',
        'save' => 'Save who builds what',
        'draw' => 'Draw again',
        'saved' => 'Who builds what is saved.',
        'drawn_again' => 'Drawn again.',
        'has_run' => 'The class has runs. Drawing again would change what groups build.',
        'steps_of' => 'Steps with :kind',
    ],
    'compared' => 'Compared: :one and :other.',
    'form' => [
        'how' => 'How the class finds out',
        'choose_one' => 'Choose how the class finds out: half and half, change one thing, or free design.',
        'two_must_differ' => 'Compare two that differ, or leave both empty for the usual two.',
        'no_such' => '“:typed” is no :what that Skivo knows. Write a size with its unit, such as 8 mm, or the name of a part.',
        'other_two' => 'Compare another two, or set how full balloons are',
        'one' => 'Compare this',
        'other' => 'With this',
        'part_or_size' => 'A part from the list or a size. Empty: the usual two.',
        'fill' => 'Every balloon is filled to',
        'even_mass' => 'Coins on the lighter cars make all cars weigh the same',
    ],
];
