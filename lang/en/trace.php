<?php

declare(strict_types=1);

// A trace of a run.
return [
    'show' => [
        'to' => '(:earliest_s to :latest_s)',
        'trace' => 'Trace · :name',
        'trace_of_try' => 'Trace of <bdi>:name</bdi>, try :try',
        'back_to_the_runs' => 'Back to the runs',
        'no_trace_was_taken_of_this' => 'No trace was taken of this run. A motion sensor posts them by itself; a film can be read, or a file brought in here.',
        'read_a_film' => 'Read a film of this run',
        'as_filmed' => 'As filmed: each line is one moment of the lane',
        'film_said' => 'What the film said',
        'the_thrust_ended_s_after_the' => '<strong>The thrust ended</strong> <span class="num">:time_s s</span> after the trace began:between, at <span class="num">:place_m</span>.',
        'the_car_did_not_move_while' => '<strong>The car did not move</strong> while the sensor looked.',
        'the_trace_does_not_show_where' => 'The trace does not show where the thrust ended.',
        'coasting_it_lost_s2_that_makes' => '<strong>Coasting,</strong> it lost <span class="num">:deceleration ± :deceleration_half :unit/s²</span>. That makes f <span class="num">:rolling_coefficient ± :rolling_half</span>, air resistance included; from its parts the model has :model_friction. <span class="small">± is half the 95 % interval of the fit.</span>',
        'on_the_floor' => 'The run on the floor: a dot each tenth of a second, its speed above, and what it gained and lost of it below',
        'thrust_ends' => 'thrust ends',
        'the_figures' => 'The figures',
        'the_trace_in_figures' => 'The trace in figures',
        'time_s' => 'Time (s)',
        'place' => 'Place (:unit)',
        'speed_s' => 'Speed (:unit/s)',
        'acceleration_s2' => 'Acceleration (:unit/s²)',
        'bring_in_a_trace' => 'Bring in a trace',
        'csv_a_moment_in_s_and' => 'CSV: a moment in s and a place in m on each line. A header may say ms, cm or mm.',
        'bring_it_in' => 'Bring it in',
    ],
    'done' => [
        'the_trace_is_with_the_run' => 'The trace is with the run.',
    ],
    'form' => [
        'points' => 'A trace is a list of :fewest to :most points, each a moment (s) and a place (m), as numbers.',
        'too_much_at_once' => 'Send at most :most readings at a time, and at most :points points of traces altogether.',
        'choose_a_csv_file' => 'Choose a CSV file.',
        'the_file_is_larger_than_1' => 'The file is larger than 1 MB. Is it the right one?',
        'the_file_did_not_arrive_whole' => 'The file did not arrive whole. Try again.',
    ],
    'not_text' => 'This is no text file. Save the trace as CSV (UTF-8).',
    'not_a_point' => 'Line :line is not a moment and a place: “:text”.',
    'too_few' => 'A trace needs at least :least points at different moments; this one has :count.',
    'too_many' => 'A trace can have at most :most points.',
    'panel' => [
        'speed' => 'Speed, :unit/s',
        'forces' => 'Push given (above) and used up by rolling and air (below), mN; the areas are energy',
        'gain' => 'Speed gained (above the line) and lost (below it), :unit/s each second',
    ],
];
