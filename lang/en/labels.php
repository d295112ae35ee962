<?php

declare(strict_types=1);

// The names of what the core knows by codes, by the class of the code and what of it is named.
return [
    'counting' => [
        'label' => [
            'rule' => 'counted tries',
            'with_void' => 'with void',
            'without_outliers' => 'no outliers',
        ],
    ],
    'bench_test' => [
        'label' => [
            'ramp' => 'Ramp and roll-out',
            'tilt' => 'Tilt',
            'pull' => 'Steady pull',
            'coast_down' => 'Coast-down',
            'static_thrust' => 'Push on a scale',
            'first_stretch' => 'First stretch',
            'pressure' => 'Balloon pressure',
            'spin' => 'Wheel spin',
        ],
    ],
    'check_item' => [
        'label' => [
            'spin' => 'Wheels turn freely',
            'end_play' => 'End play',
            'wobble' => 'Wheels square and centred',
            'parallel' => 'Axles parallel',
            'drift' => 'Rolls straight by hand',
            'airtight' => 'Joint airtight',
            'balloon_clears' => 'Balloon clears the floor',
            'nozzle_straight' => 'Nozzle straight and open',
            'points_off' => 'Points cut off',
        ],
        'how' => [
            'spin' => 'Lift the car, flick the stiffest wheel once, and time it until it stands.',
            'end_play' => 'Push an axle all the way to one side, then to the other. How far does it slide?',
            'wobble' => 'Turn each wheel slowly past a fingertip. How far does the rim come and go?',
            'parallel' => 'Measure from axle to axle along the left side, then along the right.',
            'drift' => 'Roll the car gently along a straight line. How far off is it, and after what distance?',
            'airtight' => 'Fill the balloon, close the nozzle with a fingertip, measure; wait ten seconds, measure again. How much smaller is it?',
            'balloon_clears' => 'Fill the balloon to running size and look under it.',
            'nozzle_straight' => 'Look along the tube: straight to the rear, round, no dent.',
            'points_off' => 'No sharp end of skewer or wire is left.',
        ],
        'reading' => [
            'spin' => 'Turns for',
            'end_play' => 'Slides',
            'wobble' => 'Comes and goes',
            'parallel' => 'Left side',
            'drift' => 'Off the line',
            'airtight' => 'Lost in 10 s',
            'balloon_clears' => 'Is it so?',
            'nozzle_straight' => 'Is it so?',
            'points_off' => 'Is it so?',
        ],
        'second' => [
            'parallel' => 'Right side',
            'drift' => 'After',
        ],
    ],
    'step' => [
        'label' => [
            'chassis' => 'Chassis',
            'axles' => 'Axles',
            'wheels' => 'Wheels',
            'power' => 'Balloon',
            'nozzle' => 'Nozzle',
            'mass' => 'Mass',
            'floor' => 'Floor',
        ],
    ],
    'device_role' => [
        'label' => [
            'log' => 'helper at the lane',
            'group' => 'group',
            'board' => 'board',
            'instrument' => 'instrument',
        ],
    ],
    'honour' => [
        'label' => [
            'place' => 'Place',
            'straightest' => 'Straightest',
            'steadiest' => 'Steadiest',
            'best_guess' => 'Best prediction',
            'most_improved' => 'Most improved',
            'best_repair' => 'Best repair',
            'every_try' => 'Every try counted',
        ],
    ],
    'race_kind' => [
        'label' => [
            'side_by_side' => 'Side by side',
            'knockout' => 'Knockout',
            'round_robin' => 'Everyone against everyone',
            'stays_on' => 'Winner stays on',
        ],
    ],
    'goal' => [
        'label' => [
            'farthest' => 'Farthest',
            'fastest' => 'Fastest',
            'straightest' => 'Straightest',
            'nearest_mark' => 'Nearest the mark',
            'heaviest_load' => 'Heaviest load',
        ],
    ],
    'inflation_kind' => [
        'label' => [
            'full' => 'as full as it goes',
            'strokes' => 'by pump strokes',
            'diameter' => 'measured across',
            'circumference' => 'measured around',
        ],
    ],
    'likelihood' => [
        'label' => [
            'shown' => 'what is recorded shows it',
            'hinted' => 'the car’s measures hint at it',
            'possible' => 'not measured yet',
            'unlikely' => 'what is recorded speaks against it',
        ],
    ],
    'symptom' => [
        'label' => [
            'veers' => 'It veers or circles',
            'wobbles' => 'It wobbles',
            'wheels_stop' => 'Its wheels stop at once when spun',
            'wanders' => 'It wanders from side to side',
            'does_not_start' => 'It does not start',
            'hisses' => 'It hisses and runs weakly',
            'balloon_off' => 'The balloon flies off',
            'air_too_slow' => 'The air comes out too slowly',
            'balloon_drags' => 'The balloon drags on the floor',
            'wheel_off' => 'A wheel comes off',
            'short_run' => 'It starts well but stops soon',
            'bursts' => 'The balloon bursts',
            'moist' => 'The balloon is moist inside',
        ],
    ],
    'school' => [
        'claim' => [
            'more_air' => 'Fill it as far as it goes',
            'wider_nozzle' => 'A wide nozzle beats one that blows longer',
            'more_outlets' => 'A bundle beats a single tube',
            'lighter_car' => 'A light car goes farther',
            'larger_wheels' => 'Large wheels roll farther',
            'turning_axle' => 'Wheels fixed to a turning axle beat wheels that spin on it',
            'joint' => 'It matters how the balloon is joined',
            'clear_gap' => 'A clear gap at the axle rolls farther than almost none',
            'nozzle_down' => 'A nozzle pointed slightly down goes farther',
            'two_balloons' => 'Two balloons beat one',
            'long_wheelbase' => 'Axles far apart run straighter',
            'wide_track' => 'Wheels far apart run straighter',
            'wide_chassis' => 'A wide chassis goes farther',
            'release' => 'It matters how the air is let go',
            'lip_cut' => 'It matters whether the balloon’s lip is cut off',
            'deep_neck' => 'A tube pushed deep into the neck goes farther',
            'wheels_held' => 'It matters what holds the wheels on their axles',
            'bearings_held' => 'It matters whether bearings are glued or taped',
            'filled_by' => 'It matters whether balloons are filled by pump or by mouth',
        ],
        'time_claim' => [
            'more_air' => 'The fuller the balloon, the faster',
            'wider_nozzle' => 'A wide nozzle makes the car faster',
            'more_outlets' => 'A bundle makes the car faster',
            'lighter_car' => 'A light car is faster',
            'larger_wheels' => 'Large wheels are faster',
            'turning_axle' => 'Wheels fixed to a turning axle are faster',
            'two_balloons' => 'Two balloons are faster',
        ],
        'straightness_claim' => [
            'clear_gap' => 'A clear gap at the axle runs straighter',
            'wide_chassis' => 'A wide chassis runs straighter',
            'wheels_held' => 'What holds the wheels decides how straight it runs',
            'bearings_held' => 'Glue or tape on the bearings decides how straight it runs',
        ],
        'distance_claim' => [
            'long_wheelbase' => 'Axles far apart go farther',
            'wide_track' => 'Wheels far apart go farther',
        ],
        'otherwise' => [
            'more_air' => 'a large balloon meets more air',
            'wider_nozzle' => 'a narrow one pushes for longer',
            'more_outlets' => 'one tube leaks less and blows longer',
            'lighter_car' => 'a heavy car runs on',
            'larger_wheels' => 'large wheels are heavy',
            'turning_axle' => 'wheels on a fixed axle carry less in their bearings',
            'joint' => 'any airtight joint will do',
            'clear_gap' => 'a loose axle wanders',
            'nozzle_down' => 'only a straight push is all forward',
            'two_balloons' => 'a second balloon is only more weight and more air to push aside',
            'long_wheelbase' => 'where the axles are makes no difference',
            'wide_track' => 'long axles bend and rub',
            'wide_chassis' => 'it hardly does, or narrow is lighter',
            'release' => 'a pinch, a peg or a fingertip is all the same',
            'lip_cut' => 'the lip seals as well as the neck',
            'deep_neck' => 'two centimetres hold as well',
            'wheels_held' => 'tight is tight',
            'bearings_held' => 'what does not move will do',
            'filled_by' => 'air is air',
        ],
    ],
    'caution' => [
        'title' => [
            'cutting' => 'Scissors and knives',
            'points' => 'Piercing and skewers',
            'glue' => 'Hot glue',
            'discs' => 'Optical discs',
            'choking' => 'Pieces of balloon',
            'latex' => 'Latex',
            'mouths' => 'Filling by mouth',
            'eyes' => 'Bursting balloons',
            'lane' => 'The lane',
            'gas' => 'Air only',
            'bands' => 'Wound bands',
        ],
        'steps' => [
            'cutting' => [
                'Cutting is for an adult, or closely supervised.',
                'Cut away from the body and from other hands.',
            ],
            'points' => [
                'Cut the points off skewers before they are handed out, or straight after piercing.',
                'Pierce onto putty, with fingers clear of where the point comes out.',
                'Piercing is for an adult, or closely supervised.',
            ],
            'glue' => [
                'Use a low-temperature gun: a hot one melts straws and burns skin.',
                'The gun stays at one table, with an adult.',
                'Let glue set before a part is touched.',
            ],
            'discs' => [
                'Never cut or bend an optical disc: it breaks into splinters. Use it whole.',
            ],
            'choking' => [
                'Uninflated and burst balloons can choke young children. Balloons sold in the United States carry that warning for children under 8 (16 CFR 1500.19).',
                'Count balloons out, and collect every piece of a burst one at once.',
            ],
            'latex' => [
                'Ask about latex allergy before any balloon is in the room.',
                'Offer latex-free balloons, or another way to take part.',
            ],
            'mouths' => [
                'Nobody shares a balloon or a mouthpiece.',
                'A pump is better: it also keeps the balloon dry.',
            ],
            'eyes' => [
                'Wear eye protection when a balloon is filled towards bursting size.',
                'Keep balloons off sharp edges.',
            ],
            'lane' => [
                'Keep the lane and its run-out clear. Nobody stands in the run-out.',
                'Keep cars on the floor, away from table edges and stairs.',
            ],
            'gas' => [
                'Fill balloons with air only: no compressed-gas cylinders.',
                'Nobody rides on a car or stands on one.',
            ],
            'bands' => [
                'A wound band can snap and fly: wear eye protection, and keep faces away from it.',
                'Never aim a band at anyone.',
                'Throw away bands that are worn, cracked or sticky.',
            ],
        ],
    ],
    'phase' => [
        'label' => [
            'brief' => 'Brief the class',
            'gather' => 'Gather materials',
            'build' => 'Build',
            'set' => 'Let glue and paint set',
            'predict' => 'Sketch and predict',
            'check' => 'Check the cars',
            'runs' => 'Runs',
            'redesign' => 'Change one thing',
            'runs_again' => 'Run again',
            'discuss' => 'Discuss',
            'tidy' => 'Tidy up',
        ],
        'short' => [
            'build' => 'Build',
            'runs' => 'Runs',
            'discuss' => 'Discuss',
            'brief' => 'Brief',
            'gather' => 'Gather',
            'set' => 'Set',
            'predict' => 'Predict',
            'check' => 'Check',
            'redesign' => 'Change',
            'runs_again' => 'Again',
            'tidy' => 'Tidy',
        ],
    ],
    'part_kind' => [
        'label' => [
            'balloon' => 'Balloons',
            'nozzle' => 'Tubes and straws',
            'wheel' => 'Wheels',
            'bearing' => 'Axles and bearings',
            'chassis' => 'Chassis',
            'surface' => 'Surfaces',
        ],
    ],
    'part_trait' => [
        'label' => [
            'straw' => 'cut from a straw',
            'drinking_straw' => 'of the same straw as bearings',
            'turns_in_straw' => 'turns in a piece of straw',
            'skewer' => 'a pointed stick',
            'pierced_by_hand' => 'pierced by hand',
            'pierced_plastic' => 'of hard plastic',
            'collected' => 'collected from households',
            'shatters' => 'shatters when cut',
            'soft' => 'wheels sink into it',
        ],
    ],
    'bench_field' => [
        'label' => [
            'release_height' => 'Release height',
            'roll_out' => 'Release to stop, level',
            'rise' => 'Rise',
            'run' => 'Run',
            'pull' => 'Pull, read as a mass',
            'between_marks' => 'Between the two marks',
            'mark_to_mark' => 'Time from mark to mark',
            'mark_to_stop' => 'Second mark to stop',
            'scale_reading' => 'Scale reading',
            'stretch' => 'Stretch',
            'from_release' => 'Time from release',
            'water' => 'Water, difference of the two sides',
            'balloon_diameter' => 'Balloon’s diameter then',
            'turns_for' => 'Turns for',
        ],
    ],
    'origin' => [
        'label' => [
            'measured' => 'measured',
            'catalogue' => 'from the parts list',
            'assumed' => 'assumed',
            'beyond' => 'recorded, but beyond the model',
        ],
    ],
    'build_step' => [
        'label' => [
            'points_off' => 'Points off',
            'build_frame' => 'The frame',
            'cut_chassis' => 'The board',
            'fold_chassis' => 'Fold the plate',
            'pierce_chassis' => 'Holes for the axles',
            'mark_axles' => 'Mark the axles',
            'cut_bearings' => 'Cut the bearings',
            'cut_axles' => 'Cut the axles',
            'pierce_wheels' => 'Holes in the wheels',
            'bearings_on' => 'Bearings on',
            'bearings_through' => 'Bearings through',
            'bearings_set' => 'Let it set',
            'first_wheels' => 'First wheels',
            'axles_through' => 'Axles through',
            'second_wheels' => 'Second wheels',
            'roll' => 'Let it roll',
            'decorate' => 'Decorate it',
            'paint_dries' => 'Let it dry',
            'cut_nozzle' => 'Cut the nozzle',
            'stretch_balloon' => 'Stretch the balloon',
            'join_balloon' => 'Balloon on its tube',
            'joint_sets' => 'Let it set',
            'airtight' => 'Does it leak?',
            'power_on' => 'Balloon on the car',
            'clearance' => 'Room to run',
        ],
    ],
    'build_tool' => [
        'label' => [
            'cutters' => 'side cutters',
            'scissors' => 'scissors',
            'pin' => 'push pin and putty',
            'tape' => 'tape',
            'glue_gun' => 'glue gun, low temperature',
            'glue' => 'craft glue',
            'pens' => 'pens and a ruler',
            'paint' => 'paint and brush',
            'pump' => 'balloon pump',
        ],
    ],
    'build_hand' => [
        'label' => [
            'child' => 'you',
            'adult_beside' => 'an adult beside you',
            'adult' => 'an adult does this',
        ],
    ],
    'sets' => [
        'label' => [
            'tape' => 'tape',
            'hot_glue' => 'hot glue (sets in 4 min)',
            'craft_glue' => 'craft glue (sets in 20 min)',
            'pens' => 'pens and stickers',
            'paint' => 'paint (dries in 30 min)',
        ],
    ],
    'fit' => [
        'label' => [
            'too_thick' => 'too thick',
            'snug' => 'sits snugly',
            'free' => 'turns freely',
            'loose' => 'loose: tape round it first',
        ],
    ],
    'known_from' => [
        'label' => [
            'measured' => 'measured',
            'kit' => 'as in the kit',
            'nothing' => 'not known',
        ],
    ],
    'chassis_form' => [
        'label' => [
            'board' => 'flat board',
            'block' => 'block',
            'folded_plate' => 'folded plate',
            'bottle' => 'bottle',
            'cup' => 'cup',
            'stick' => 'stick',
            'brick_frame' => 'brick frame',
            'outline' => 'outline of its own',
        ],
    ],
    'nose_shape' => [
        'label' => [
            'flat' => 'flat',
            'round' => 'round',
            'wedge' => 'wedge',
            'point' => 'pointed',
        ],
    ],
    'bearing_hold' => [
        'label' => [
            'tape' => 'tape',
            'glue' => 'glue',
            'holes' => 'holes through the walls',
            'frame' => 'the frame itself',
        ],
    ],
    'wheel_hold' => [
        'label' => [
            'tight_hole' => 'a tight hole',
            'glue' => 'glue on the outside',
            'stops' => 'putty or elastic on each side',
        ],
    ],
    'tyre' => [
        'label' => [
            'none' => 'none',
            'rubber_band' => 'rubber bands',
            'balloon_strip' => 'strips of a balloon',
        ],
    ],
    'energy_source' => [
        'label' => [
            'balloon' => 'balloon',
            'elastic_band' => 'wound elastic band',
            'ramp' => 'ramp alone',
            'balloon_and_ramp' => 'balloon and ramp',
        ],
    ],
    'balloon_shape' => [
        'label' => [
            'round' => 'round',
            'pear' => 'pear',
            'long' => 'long',
        ],
    ],
    'yes_no' => [
        'label' => [
            'yes' => 'yes',
            'no' => 'no',
        ],
    ],
    'filled_by' => [
        'label' => [
            'pump' => 'pump',
            'mouth' => 'mouth',
        ],
    ],
    'release' => [
        'label' => [
            'finger' => 'a fingertip on the end',
            'pinch' => 'pinching the tube',
            'peg' => 'a peg on the bent tube',
        ],
    ],
    'decoration' => [
        'label' => [
            'none' => 'none',
            'first' => 'first, before the balloon goes on',
            'last' => 'last, over the finished car',
        ],
    ],
    'wheel_mount' => [
        'label' => [
            'fixed' => 'fixed to the axle',
            'spinning' => 'spinning on the axle',
        ],
    ],
    'hollow' => [
        'label' => [
            'outwards' => 'outwards',
            'inwards' => 'inwards',
        ],
    ],
    'side' => [
        'label' => [
            'left' => 'left',
            'right' => 'right',
        ],
    ],
    'run_kind' => [
        'label' => [
            'try' => 'try',
            'practice' => 'practice',
            'heat' => 'heat of a race',
            'timed' => 'timed run',
        ],
    ],
    'void_reason' => [
        'label' => [
            'no_start' => 'no start',
            'hit_something' => 'hit something',
            'wheel_off' => 'wheel off',
            'balloon_off' => 'balloon off',
            'burst' => 'burst',
            'pushed' => 'pushed',
        ],
    ],
    'outcome' => [
        'label' => [
            'distance' => 'distance',
            'time' => 'time',
            'straightness' => 'drift',
        ],
    ],
    'known' => [
        'label' => [
            'measured' => 'measured',
            'predicted' => 'predicted',
            'worked_out' => 'worked out from the other three',
        ],
    ],
    'cut_piece' => [
        'label' => [
            'axle' => 'Axle',
            'bearing' => 'Bearing',
            'nozzle' => 'Nozzle',
        ],
    ],
    'scoring' => [
        'label' => [
            'best' => 'best',
            'mean' => 'mean',
            'median' => 'median',
        ],
    ],
    'per' => [
        'label' => [
            'group' => 'group',
            'learner' => 'learner',
            'lane' => 'lane',
            'whole_class' => 'class',
        ],
    ],
    'mark' => [
        'of' => ':fill :shape',
        'fill' => [
            'solid' => 'solid',
            'open' => 'open',
            'half' => 'half',
            'ringed' => 'ringed',
        ],
        'shape' => [
            'sail' => 'sail',
            'buoy' => 'buoy',
            'pennant' => 'pennant',
            'block' => 'block',
            'dome' => 'dome',
            'cross' => 'cross',
            'hull' => 'hull',
            'drop' => 'drop',
            'anvil' => 'anvil',
            'star' => 'star',
        ],
    ],
];
