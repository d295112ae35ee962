<?php

declare(strict_types=1);

// Plans that are ready to be set, and several classes together.
return [
    'show' => [
        'title' => 'Library of plans',
        'what' => 'Each of these was tried from plan to answer with simulated classes: held to it, more than four of five classes find out what is true, and hardly one is told the opposite. Set one, and change what you like.',
        'set' => 'Set this one',
        'for' => ':age years · :sessions · :groups groups · :tries tries each · lane :lane',
        'minutes' => ':minutes minutes',
        'compares' => 'Groups compare :one with :other.',
        'rebuilt' => 'Every group builds the first, runs it, changes that alone, and runs again: each compares with itself.',
        'halves' => 'Half the groups build the one, half the other, all else alike.',
        'is_set' => ':plan is set. Next: look over its rules.',
    ],
    'plan' => [
        'wider_nozzle' => ['name' => 'Wide open', 'about' => 'A wider nozzle lets more air out at once. Does the car gain more from the stronger push than it loses by the shorter one?'],
        'lighter_car' => ['name' => 'Travel light', 'about' => 'Coins on the car, coins off the car. What does weight cost? For small hands, with a scale and two washers.'],
        'fuller_balloon' => ['name' => 'One breath more', 'about' => 'The same car, its balloon a little fuller. In three quarters of an hour, with a ring to measure the balloon.'],
        'shorter_straw' => ['name' => 'Short or long straw', 'about' => 'Air rubs along a straw. Two short sessions: build in one, run in the other.'],
        'bigger_wheels' => ['name' => 'Big wheels, small wheels', 'about' => 'Half the cars roll on caps, half on discs, and coins make them all weigh the same. Do large wheels lose less to the floor?'],
        'second_balloon' => ['name' => 'One balloon or two', 'about' => 'Two balloons blow through one nozzle. Do they push the car twice as far, or not much farther at all?'],
        'balloon_or_band' => ['name' => 'Balloon or band', 'about' => 'The same car twice: first a balloon pushes it, then a wound rubber band turns its wheels. Which carries it farther, and why?'],
        'faster_nozzle' => ['name' => 'Two metres, fast', 'about' => 'Not how far but how soon: the time over two metres, with stopwatches, and races at the end.'],
    ],
    'classes' => [
        'title' => 'Several classes',
        'several_classes' => 'Several classes together',
        'how' => 'Classes that asked the same are put together, each as a block of its own: cars are compared within their class only, and the classes’ answers averaged by how many groups speak. Children see their own class elsewhere.',
        'none' => 'No other class that you work with asks the same yet. Copy this plan for the next class, and come back.',
        'which' => 'Which classes',
        'show' => 'Put these together',
        'no_answer' => 'None of these classes can answer by itself yet: it takes four groups whose cars differ in it.',
        'said' => 'Over :classes, on average :mean (95 %: :low to :high) from :least to :most.',
        'from_to' => ':low to :high',
        'classes' => ':count class|:count classes',
        'differ' => 'The classes differ by more than chance would have it (p = :p): look at what was otherwise, floor, balloons, or how they filled them.',
        'alike' => 'The classes agree as far as chance goes (p = :p).',
        'years' => ':this against :last: :mean (95 %: :low to :high). :verdict',
        'years_differ' => 'That is a real change.',
        'years_alike' => 'That may be chance.',
        'class' => 'Class',
        'groups' => 'Groups',
        'effect' => 'From :least to :most',
        'interval' => '95 % interval',
        'all' => 'Together',
        'figure' => 'What each class found, and all together, with their 95 % intervals',
        'weighted' => 'Weighted by groups. A class that can’t say how sure it is, with fewer than four groups, is left out.',
    ],
];
