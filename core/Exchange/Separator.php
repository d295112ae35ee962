<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

/** What parts the cells of a sheet. With a semicolon comes the decimal comma, as spreadsheets pair them. */
enum Separator: string
{
    case Comma = 'comma';
    case Semicolon = 'semicolon';
    case Tab = 'tab';

    public function character(): string
    {
        return match ($this) {
            self::Comma => ',',
            self::Semicolon => ';',
            self::Tab => "\t",
        };
    }
}
