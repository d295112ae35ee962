<?php

declare(strict_types=1);

namespace App\Models\Concerns;

/**
 * For models whose casts make immutable objects: what was read cannot have been changed behind the model's back, so
 * it need not be written back to the columns each time any of them is looked at, nor be made anew at each look.
 */
trait HoldsImmutableValues
{
    /** @var array<string, array{mixed, mixed}> by column what it held when it was read, and what was made of it */
    private array $read = [];

    /** @var array<string, true> what is made of several columns and was found to be nothing */
    private array $absent = [];

    /** @var array<string, string>|null */
    private ?array $knownCasts = null;

    /** @var array<string, bool> by column, whether it is read as it is stored; the same for every model of the class */
    private static array $asStored = [];

    public function getAttribute($key)
    {
        if (isset($this->relations[$key]) || isset($this->classCastCache[$key])) {
            return $this->relations[$key] ?? $this->classCastCache[$key];
        }
        if (isset($this->absent[$key])) {
            return null;
        }
        $held = $this->attributes[$key] ?? null;
        if ($held !== null && (self::$asStored[$key] ??= $this->isAsStored($key))) {
            return $held;
        }
        if ($held !== null && isset($this->read[$key]) && $this->read[$key][0] === $held) {
            return $this->read[$key][1];
        }
        $value = parent::getAttribute($key);
        if ($held === null && $value === null && isset($this->getCasts()[$key])) {
            $this->absent[$key] = true;
        } elseif ($held !== null && !isset($this->classCastCache[$key])) {
            $this->read[$key] = [$held, $value];
        }

        return $value;
    }

    private function isAsStored(string $key): bool
    {
        return !isset($this->getCasts()[$key]) && !$this->hasAnyGetMutator($key) && !in_array($key, $this->getDates(), true);
    }

    public function setAttribute($key, $value)
    {
        // One value may be written to several columns.
        $this->absent = $this->read = [];

        return parent::setAttribute($key, $value);
    }

    /** @param array<string, mixed> $attributes */
    public function setRawAttributes(array $attributes, $sync = false)
    {
        $this->absent = [];

        return parent::setRawAttributes($attributes, $sync);
    }

    public function getCasts()
    {
        return $this->knownCasts ??= parent::getCasts();
    }

    /** @param array<string, string> $casts */
    public function mergeCasts($casts)
    {
        // Each model that is read is given those of the model that asked, which are its own.
        if ($casts === $this->casts) {
            return $this;
        }
        $this->knownCasts = null;

        return parent::mergeCasts($casts);
    }

    protected function mergeAttributesFromCachedCasts(): void {}

    /** @param string $key */
    protected function mergeAttributeFromCachedCasts($key): void {}
}
