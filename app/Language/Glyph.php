<?php

declare(strict_types=1);

namespace App\Language;

use Illuminate\Support\HtmlString;

/** A group's mark as it is drawn: its shape is on the page once, see components/mark-shapes. */
final readonly class Glyph
{
    /** @param string|null $label where the mark says what nothing beside it says */
    public static function of(string $mark, ?string $label = null): HtmlString
    {
        $shape = explode('-', $mark)[0];
        $role = $label === null ? 'aria-hidden="true"' : 'role="img" aria-label="' . e($label) . '"';

        return new HtmlString('<svg class="mark mark-' . e($shape) . '" ' . $role . '><use href="#mark-' . e($mark) . '" /></svg>');
    }
}
