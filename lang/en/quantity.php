<?php

declare(strict_types=1);

// What is wrong with a quantity as it was typed, and what to type instead.
return [
    'empty' => 'Nothing was typed.',
    'no_length' => '“:text” is not a length. Type a number and a unit, such as 20.5 cm or 8 1/4 in.',
    'no_mass' => '“:text” is not a mass. Type a number and a unit, such as 58 g or 2 oz.',
    'no_time' => '“:text” is not a time. Type a number and a unit, such as 2.84 s.',
    'no_turns' => '“:text” is not a number of turns. Type a number, such as 8 or 8.5.',
    'no_unit_of_turns' => '“:text” is no unit of turns. Type the number alone.',
    'no_unit_of_length' => '“:text” is not a unit of length here. Use mm, cm, m, in or ft.',
    'no_unit_of_mass' => '“:text” is not a unit of mass here. Use g, kg, oz or lb.',
    'no_unit_of_time' => '“:text” is not a unit of time here. Use s or min.',
    'ambiguous_comma' => '“:text” could mean :point or :whole. Type it with a decimal point, or without the comma.',
    'thousands' => '“:text” has more than one point or comma. Type it without separators between thousands.',
    'negative' => '“:text” is below zero. Leave out the minus sign.',
    'division_by_zero' => '“:text” divides by zero. Check the fraction.',
    'mixed_units' => '“:text” mixes units in a way that could be misread. Use one unit, or a larger and then a smaller one, such as 5 ft 3 in.',
    'too_long' => 'That is too long for a measurement. Type a number and a unit.',
    'out_of_range' => ':Attribute must be from :least to :greatest. Check the unit.',
    'not_whole' => ':Attribute must be a whole number from :least to :greatest.',
    'not_whole_degrees' => ':Attribute must be a whole number from :least to :greatest degrees.',
    'slip' => [
        'less' => ':value is far less than expected here (about :expected). Is it right?',
        'more' => ':value is far more than expected here (about :expected). Is it right?',
        'less_meant' => ':value is far less than expected here (about :expected). Did you mean :meant?',
        'more_meant' => ':value is far more than expected here (about :expected). Did you mean :meant?',
        'less_unit' => ':value is far less than expected here (about :expected). Did you mean :meant :unit?',
        'more_unit' => ':value is far more than expected here (about :expected). Did you mean :meant :unit?',
        'around' => 'A balloon of :nominal can’t be :value across. Did you measure around it? Then choose “around”, or type :across.',
    ],
    'unusually_small' => ':Attribute: :value is far less than :least, the least that cars like this have. Is the unit right?',
    'unusually_large' => ':Attribute: :value is far more than :greatest, the most that cars like this have. Is the unit right?',
    'ramp_too_high' => 'A ramp can be at most :greatest high. Check the unit.',
    'distance_too_long' => 'A distance can be at most :greatest. Check the unit.',
    'time_out_of_range' => 'A time must be from :least to :greatest.',
    'load_too_heavy' => 'A load can be at most :greatest. Check the unit.',
    'length_out_of_range' => 'A length must be from :least to :greatest. Check the unit.',
    'nothing' => 'It must be more than nothing.',
    'not_a_number' => ':Attribute must be a number.',
];
