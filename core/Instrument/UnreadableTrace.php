<?php

declare(strict_types=1);

namespace Skivo\Core\Instrument;

/** A file is no trace. Says where and what to do. */
final class UnreadableTrace extends \InvalidArgumentException {}
