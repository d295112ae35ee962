<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/**
 * Who runs next. Tries go round the class in the groups' order, so that a group has time to repair
 * between its tries: the group with the fewest counted tries, and among those the first one after the
 * group that ran last.
 */
final readonly class NextRun
{
    /**
     * @param list<Entrant> $entrants in the groups' order
     * @param string|null $lastId the group that ran last
     *
     * @return Entrant|null null when every group has had its tries, or there is none
     */
    public static function propose(array $entrants, ?string $lastId): ?Entrant
    {
        $last = array_search($lastId, array_map(static fn(Entrant $entrant): string => $entrant->id, $entrants), true);
        $fromLast = $last === false
            ? $entrants
            : [...array_slice($entrants, $last + 1), ...array_slice($entrants, 0, $last + 1)];
        $next = null;
        foreach ($fromLast as $entrant) {
            if ($entrant->tries->areComplete()) {
                continue;
            }
            if ($next === null || count($entrant->tries->counted) < count($next->tries->counted)) {
                $next = $entrant;
            }
        }

        return $next;
    }
}
