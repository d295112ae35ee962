<?php

declare(strict_types=1);

namespace Tests\Mutation;

/** One number or one comparison of a file of core/, changed. */
final readonly class Mutant
{
    /** Turned around: where measured values meet to the last digit, no test stands, and counts are held by their number. */
    private const COMPARISONS = ['<' => '>=', '<=' => '>', '>' => '<=', '>=' => '<', '===' => '!==', '!==' => '==='];

    /** A count this large is a coefficient. */
    private const COEFFICIENT = 1000;

    /** Less than this is a guard against rounding, and no test can tell it from its neighbours. */
    private const GUARD = 1e-6;

    private function __construct(
        public string $file,
        public int $line,
        public string $was,
        public string $is,
        private string $source,
    ) {}

    /**
     * All of a file, in its order.
     *
     * @return list<self>
     */
    public static function of(string $file): array
    {
        $tokens = \PhpToken::tokenize((string) file_get_contents($file));
        $mutants = [];
        foreach ($tokens as $place => $token) {
            $is = self::change($token, self::before($tokens, $place));
            if ($is !== null) {
                $changed = array_map(static fn(\PhpToken $each): string => $each->text, $tokens);
                $changed[$place] = $is;
                $mutants[] = new self($file, $token->line, $token->text, $is, implode('', $changed));
            }
        }

        return $mutants;
    }

    /** The class that the file declares, by PSR-4. */
    public function className(string $core): string
    {
        return 'Skivo\\Core\\' . str_replace('/', '\\', substr($this->file, strlen($core) + 1, -4));
    }

    public function write(string $to): void
    {
        file_put_contents($to, $this->source);
    }

    public function describe(string $root): string
    {
        return substr($this->file, strlen($root) + 1) . ":{$this->line}: {$this->was} became {$this->is}";
    }

    private static function change(\PhpToken $token, ?\PhpToken $before): ?string
    {
        if (isset(self::COMPARISONS[$token->text]) && !$token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE, T_INLINE_HTML])) {
            return self::COMPARISONS[$token->text];
        }
        if ($before?->text === 'declare' || !$token->is([T_LNUMBER, T_DNUMBER])) {
            return null;
        }
        $number = str_replace('_', '', $token->text);

        return match (true) {
            $token->is(T_LNUMBER) && !ctype_digit($number) => null,
            $token->is(T_LNUMBER) && (int) $number < self::COEFFICIENT => (string) ((int) $number + 1),
            $token->is(T_LNUMBER) => (string) (int) (1.25 * (int) $number),
            (float) $number === 0.0 => '1.0',
            (float) $number < self::GUARD => null,
            default => var_export((float) $number * 1.25, true),
        };
    }

    /**
     * The word that a parenthesis before a token belongs to, as in declare(strict_types=1).
     *
     * @param list<\PhpToken> $tokens
     */
    private static function before(array $tokens, int $place): ?\PhpToken
    {
        return $place >= 4 && $tokens[$place - 1]->text === '=' && $tokens[$place - 2]->text === 'strict_types'
            ? $tokens[$place - 4]
            : null;
    }
}
