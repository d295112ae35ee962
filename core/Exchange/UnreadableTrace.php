<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

/** A file is no trace. Says where and what to do. */
final class UnreadableTrace extends \InvalidArgumentException {}
