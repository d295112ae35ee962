<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

/** How wide a board of one's own outline is at five places, from its rear end to its nose. */
final readonly class Outline
{
    public const PLACES = 5;
    public const LEAST = 5;

    /** @param non-empty-list<int> $percent of its full width, LEAST to 100 */
    private function __construct(public array $percent) {}

    /** As it is stored and typed: five whole numbers of percent, such as "60 100 100 80 40"; null for anything else. */
    public static function read(?string $written): ?self
    {
        if ($written === null || preg_match('/^\s*\d{1,3}(?:[\s,;%]+\d{1,3}){4}\s*%?\s*$/', $written) !== 1) {
            return null;
        }
        preg_match_all('/\d+/', $written, $found);
        $percent = array_map(intval(...), $found[0]);

        return $percent === [] || min($percent) < self::LEAST || max($percent) > 100 ? null : new self($percent);
    }

    /** @return non-empty-list<float> shares of the full width */
    public function widths(): array
    {
        return array_map(static fn(int $percent): float => $percent / 100, $this->percent);
    }
}
