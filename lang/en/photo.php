<?php

declare(strict_types=1);

// Sizes of a car from a photograph.
return [
    'show' => [
        'title' => 'Sizes from a photo · :group',
        'sizes_from_a_photo' => '<bdi>:group</bdi>: sizes from a photo',
        'back' => 'Back to the build sheet',
        'how' => 'Lay a ruler against the car, as near to the camera as what you want to measure, and take the photo straight from the side, from an arm’s length or more. The photo stays on this device.',
        'photo' => 'Photo of the car',
        'from_notebook' => 'Or one from the notebook',
        'notebook_photo' => 'Photo :n from the notebook',
        'measure' => 'Measure in it',
        'measure_how' => 'First pull the yellow line along the ruler and type how long that is. Then add a part, and pull its line from end to end.',
        'known' => 'Something else of known length',
        'add' => 'Add a part',
        'lines' => 'Lines over the photo; arrow keys move what is chosen',
        'fill' => 'Put into the build sheet',
        'not_saved_yet' => 'Nothing is saved before you save the build sheet.',
        'plus_minus' => '± is half of the 95 % interval: taps, and parts that lie a little nearer or farther than the ruler.',
        'circumference' => 'A balloon’s size is taken as its width here.',
    ],
    'sheet' => [
        'from_a_photo' => 'Sizes from a photo',
        'filled' => 'The sizes from the photo stand in the fields. Look them over, and save.',
    ],
    'nothing_known' => 'Say first how long something in the photo is.',
    'known_too_short' => 'The known thing is too short in the photo: pull its line to both its ends.',
    'too_short' => 'too short in the photo to tell',
    'askew' => 'The known lengths disagree: one is wrong, or the photo was taken at a slant. Straight from the side is best.',
    'form' => [
        'say_how_long' => 'Say how long the known thing is.',
        'tap_first' => 'Pull a line in the photo first.',
        'length' => 'A length above 0 and up to :greatest.',
    ],
];
