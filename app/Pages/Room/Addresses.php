<?php

declare(strict_types=1);

namespace App\Pages\Room;

/** By which addresses tablets on the network reach this Skivo. */
final readonly class Addresses
{
    /**
     * @param string $now the address of the page that asks, as http://host:port
     *
     * @return list<string> the best first; none where it serves this machine alone
     */
    public static function forTablets(string $now): array
    {
        $served = (string) config('skivo.host');
        $found = self::isOwn((string) parse_url($now, PHP_URL_HOST)) ? [] : [$now];
        if ($served !== '127.0.0.1') {
            $hosts = array_filter(
                [(string) config('skivo.name'), ...($served === '0.0.0.0' ? self::ofThisMachine() : [$served])],
                static fn(string $host): bool => $host !== '',
            );
            $found = [...$found, ...array_map(static fn(string $host): string => "http://{$host}:" . config('skivo.port'), $hosts)];
        }

        return array_values(array_unique($found));
    }

    /** Whether a name means the machine itself, and nobody else's. */
    private static function isOwn(string $host): bool
    {
        return $host === 'localhost' || str_starts_with($host, '127.');
    }

    /** @return list<string> its IPv4 addresses on networks */
    private static function ofThisMachine(): array
    {
        $found = [];
        foreach (net_get_interfaces() ?: [] as $interface) {
            foreach (($interface['up'] ?? false) ? ($interface['unicast'] ?? []) : [] as $unicast) {
                $address = $unicast['address'] ?? '';
                if (($unicast['family'] ?? 0) === AF_INET && !self::isOwn($address)) {
                    $found[] = $address;
                }
            }
        }

        return $found;
    }
}
