<?php

declare(strict_types=1);

namespace App\Archive;

use RuntimeException;

/** A file that is no archive of a challenge, or not a whole one; its message is the key of a sentence. */
final class UnreadableArchiveException extends RuntimeException {}
