<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

/** An object of some JSON, read strictly: whatever is missing, unknown or of another type is named by its place. */
final readonly class JsonObject
{
    /** @param array<string, mixed> $held */
    private function __construct(private array $held, private string $path, private string $what) {}

    /**
     * @param string $what it is, as in "a design"
     * @param list<string> $keys that it may have
     *
     * @throws JsonFaultException
     */
    public static function parse(string $json, string $what, array $keys): self
    {
        $named = 'the ' . substr($what, 2);
        try {
            $data = json_decode($json, false, 32, JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw JsonFaultException::notJson($named, lcfirst($exception->getMessage()));
        }

        return self::of($data, '', $what, $keys, $named);
    }

    /**
     * Another object in it; an empty one where it may be left out and is.
     *
     * @param list<string>|null $keys that it may have; any where null
     *
     * @throws JsonFaultException
     */
    public function object(string $key, ?array $keys, bool $isOptional = false): self
    {
        $data = $isOptional && !$this->has($key) ? new \stdClass() : $this->given($key);

        return self::of($data, $this->at($key), $this->what, $keys, $this->at($key));
    }

    /**
     * A list of objects; an empty one where it may be left out and is.
     *
     * @param list<string> $keys that each may have
     *
     * @return list<self>
     *
     * @throws JsonFaultException
     */
    public function objects(string $key, array $keys, bool $isOptional = false): array
    {
        $data = $isOptional && !$this->has($key) ? [] : $this->given($key);
        if (!is_array($data)) {
            throw JsonFaultException::wrongType($this->at($key), 'a list');
        }
        $objects = [];
        foreach (array_values($data) as $index => $each) {
            $path = "{$this->at($key)}[{$index}]";
            $objects[] = self::of($each, $path, $this->what, $keys, $path);
        }

        return $objects;
    }

    public function has(string $key): bool
    {
        return array_key_exists($key, $this->held);
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_keys($this->held);
    }

    /** Where a key of it stands, as in "nozzle.segments[0].bore_m". */
    public function at(string $key): string
    {
        return $this->path === '' ? $key : "{$this->path}.{$key}";
    }

    /** @throws JsonFaultException */
    public function number(string $key, ?float $default = null): float
    {
        if ($default !== null && !$this->has($key)) {
            return $default;
        }
        $value = $this->given($key);

        return is_int($value) || is_float($value) ? (float) $value : throw JsonFaultException::wrongType($this->at($key), 'a number');
    }

    /** @throws JsonFaultException */
    public function numberOrNull(string $key): ?float
    {
        return $this->has($key) ? $this->number($key) : null;
    }

    /** @throws JsonFaultException */
    public function whole(string $key, ?int $default = null): int
    {
        if ($default !== null && !$this->has($key)) {
            return $default;
        }
        $value = $this->given($key);

        return is_int($value) ? $value : throw JsonFaultException::wrongType($this->at($key), 'a whole number');
    }

    /** @throws JsonFaultException */
    public function text(string $key, ?string $default = null): string
    {
        if ($default !== null && !$this->has($key)) {
            return $default;
        }
        $value = $this->given($key);

        return is_string($value) && trim($value) !== '' ? $value : throw JsonFaultException::wrongType($this->at($key), 'a word');
    }

    /** @throws JsonFaultException */
    public function yes(string $key): bool
    {
        $value = $this->held[$key] ?? false;

        return is_bool($value) ? $value : throw JsonFaultException::wrongType($this->at($key), 'true or false');
    }

    /**
     * A word that stands for one of several things.
     *
     * @template T
     *
     * @param array<string, T> $known by their words
     *
     * @return T
     *
     * @throws JsonFaultException
     */
    public function oneOf(string $key, array $known, ?string $default = null): mixed
    {
        $word = $this->text($key, $default);

        return array_key_exists($word, $known)
            ? $known[$word]
            : throw JsonFaultException::wrongType($this->at($key), 'one of ' . implode(', ', array_keys($known)));
    }

    /**
     * @return list<string> any words
     *
     * @throws JsonFaultException where it is no list of them
     */
    public function texts(string $key): array
    {
        $words = $this->given($key);
        $found = [];
        foreach (is_array($words) ? $words : [null] as $word) {
            $found[] = is_string($word) && $word !== ''
                ? $word
                : throw JsonFaultException::wrongType($this->at($key), 'a list of words');
        }

        return $found;
    }

    /**
     * Words that each stand for one of several things; an empty list too.
     *
     * @template T
     *
     * @param array<string, T> $known by their words
     *
     * @return list<T>
     *
     * @throws JsonFaultException
     */
    public function several(string $key, array $known): array
    {
        $words = $this->given($key);
        $found = [];
        foreach (is_array($words) ? array_values($words) : [null] as $word) {
            $found[] = is_string($word) && array_key_exists($word, $known)
                ? $known[$word]
                : throw JsonFaultException::wrongType($this->at($key), 'a list of ' . implode(', ', array_keys($known)));
        }

        return $found;
    }

    /** @throws JsonFaultException */
    private function given(string $key): mixed
    {
        return $this->has($key) ? $this->held[$key] : throw JsonFaultException::missingKey($this->at($key));
    }

    /** @param list<string>|null $keys */
    private static function of(mixed $data, string $path, string $what, ?array $keys, string $named): self
    {
        if (!$data instanceof \stdClass) {
            throw JsonFaultException::wrongType($named, 'an object');
        }
        $held = [];
        foreach (get_object_vars($data) as $key => $value) {
            if ($keys !== null && !in_array((string) $key, $keys, true)) {
                throw JsonFaultException::unknownKey($path === '' ? (string) $key : "{$path}.{$key}", $what);
            }
            $held[(string) $key] = $value;
        }

        return new self($held, $path, $what);
    }
}
