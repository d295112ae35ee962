<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** One line of the list of what to buy or collect. */
final readonly class Material
{
    /**
     * @param string $key names the line to whoever changes it, and its name and unit in lang/
     * @param string|null $part the part of the kit that it is, by its name
     * @param float $amount of one group, learner, lane or class; a half means one between two
     * @param bool $isSpared whether spares are added
     * @param bool $isEarly whether collecting it takes weeks
     * @param list<string> $alternatives other parts that people use instead, by their names
     * @param float|null $price of one, in whatever money the educator counts in
     * @param int|null $fixed the total where it comes from elsewhere, such as the cutting of straws
     * @param int|null $pack how many come in one pack; null where they are bought one by one
     * @param string|null $ownName of a line that an educator added, and what is counted of it
     * @param float $share of the groups that get it, from 0 to 1
     * @param bool $isOfOther whether it is what those get who build the other of two that a class compares
     */
    public function __construct(
        public string $key,
        public float $amount,
        public Per $per,
        public ?string $part = null,
        public bool $isSpared = false,
        public bool $isEarly = false,
        public array $alternatives = [],
        public ?float $price = null,
        public ?int $fixed = null,
        public ?string $ownName = null,
        public ?string $ownUnit = null,
        public ?int $pack = null,
        public float $share = 1.0,
        public bool $isOfOther = false,
    ) {}

    /** Of the other of two that are compared: its key says it, so that both are changed and counted by themselves. */
    private const OTHER = '-other';

    /** What kind of line it is: the key of its name and unit in lang/. */
    public function kind(): string
    {
        return $this->isOfOther ? substr($this->key, 0, -strlen(self::OTHER)) : $this->key;
    }

    /** The same for a share of the groups. */
    public function for(float $share, bool $isOther): self
    {
        return new self(
            $isOther ? $this->key . self::OTHER : $this->key,
            $this->amount,
            $this->per,
            $this->part,
            $this->isSpared,
            $this->isEarly,
            $this->alternatives,
            $this->price,
            $this->fixed,
            $this->ownName,
            $this->ownUnit,
            $this->pack,
            $share,
            $isOther,
        );
    }

    public function with(?float $amount, ?float $price, ?int $pack = null): self
    {
        return new self(
            $this->key,
            $amount ?? $this->amount,
            $this->per,
            $this->part,
            $this->isSpared,
            $this->isEarly,
            $this->alternatives,
            $price ?? $this->price,
            $amount === null ? $this->fixed : null,
            $this->ownName,
            $this->ownUnit,
            $pack ?? $this->pack,
            $this->share,
            $this->isOfOther,
        );
    }

    /** The same, so many in all: as many pieces as come from it. */
    public function totalling(int $total, Headcount $class): self
    {
        return new self(
            $this->key,
            $total / max(1, $class->groups),
            $this->per,
            $this->part,
            $this->isSpared,
            $this->isEarly,
            $this->alternatives,
            $this->price,
            $total,
            $this->ownName,
            $this->ownUnit,
            $this->pack,
        );
    }

    /** How many in all, spares included, in whole pieces. */
    public function total(Headcount $class): int
    {
        if ($this->fixed !== null) {
            return $this->fixed;
        }
        $whole = $this->amount * ceil($this->share * $class->of($this->per) - 1e-9) * ($this->isSpared ? 1.0 + $class->spares : 1.0);

        return (int) ceil($whole - 1e-9);
    }

    /**
     * How many packs to order, with what is over then; null where it comes in no packs.
     *
     * @return array{int, int}|null
     */
    public function packs(Headcount $class): ?array
    {
        if ($this->pack === null) {
            return null;
        }
        $packs = (int) ceil($this->total($class) / $this->pack);

        return [$packs, $packs * $this->pack - $this->total($class)];
    }

    /** What the total costs, by whole packs where it comes in packs; null where no price is given. */
    public function cost(Headcount $class): ?float
    {
        return $this->price === null ? null : $this->price * ($this->total($class) + ($this->packs($class)[1] ?? 0));
    }
}
