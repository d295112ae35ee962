<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

/** A part that cars are built of, with the values that the run model starts from until they are measured. */
final readonly class Part
{
    /**
     * @param string $name as people say it, unique among parts of its kind
     * @param array<string, float> $values SI, by the keys of PartKind::fields()
     * @param string $origin where the values come from
     * @param list<string> $alsoCalled other names under which a build sheet may have it
     */
    public function __construct(
        public PartKind $kind,
        public string $name,
        public array $values,
        public string $origin,
        public array $alsoCalled = [],
    ) {}

    public function value(string $key): float
    {
        // A wheel of which only one thickness is known is as thick at its hub.
        return $this->values[$key] ?? ($key === 'hub_m' ? $this->values['thickness_m'] ?? null : null) ?? throw new \LogicException("A {$this->kind->value} has no {$key}.");
    }

    public function isCalled(string $name): bool
    {
        $name = mb_strtolower(trim($name));

        return $name !== '' && in_array($name, array_map(mb_strtolower(...), [$this->name, ...$this->alsoCalled]), true);
    }
}
