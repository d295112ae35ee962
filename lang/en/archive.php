<?php

declare(strict_types=1);

// A challenge as one file.
return [
    'take' => 'Everything as an archive (ZIP)',
    'take_why' => 'Tables, pictures, sketches and traces in open formats; Skivo reads it back, here or elsewhere.',
    'bring' => 'Bring in an archive',
    'bring_file' => 'A challenge’s archive (ZIP)',
    'bring_do' => 'Bring it in',
    'all' => 'Take all my challenges along (ZIP)',
    'backup' => 'Backup of everything',
    'backup_why' => 'Of all accounts; bin/skivo restore reads it. Keep it where only you get at it.',
    'form' => [
        'choose_the_file' => 'Choose an archive of up to 100 MB.',
        'not_a_zip' => 'This is no ZIP file. Choose one that Skivo wrote.',
        'not_an_archive' => 'This is no archive of a challenge. Choose one that Skivo wrote.',
        'too_large' => 'This archive is too large to be a class.',
        'not_whole' => 'A part of this archive is missing or was changed. Nothing was stored.',
        'cell_does_not_fit' => 'In this archive’s table :table, row :row, the column :column cannot be “:cell”. Nothing was stored. Take the archive again, or correct that cell.',
        'row_does_not_fit' => 'In this archive’s table :table, row :row does not fit the rest. Nothing was stored. Take the archive again, or correct that row.',
        'does_not_fit' => 'This archive cannot be shown as a class. Nothing was stored. Take it again from the Skivo that wrote it.',
    ],
    'done' => [
        'is_here' => ':challenge is here, with everything in it.',
    ],
];
