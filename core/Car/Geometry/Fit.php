<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

/** How something round sits in a hole. The limits are common practice, no source. */
enum Fit: string
{
    /** It does not go in, or not without force that splits something. */
    case TooThick = 'too thick';
    /** It goes in and stays where it is. */
    case Snug = 'snug';
    /** It turns or slides freely. */
    case Free = 'free';
    /** It rattles, or leaks. */
    case Loose = 'loose';

    /** A tube pushed into another: up to so much too thick it can be pressed in, up to so much too thin it holds by itself (m). */
    private const PRESSED_M = 0.0003;
    private const HOLDS_M = 0.0003;

    /** An axle turns from so much play on, and knocks about beyond so much (m). */
    private const TURNS_FROM_M = 0.0002;
    private const KNOCKS_FROM_M = 0.003;

    /** A tube in the next one's bore: snug, or loose where it needs tape around it. In m. */
    public static function ofTube(float $outsideM, float $boreM): self
    {
        return match (true) {
            $outsideM > $boreM + self::PRESSED_M + 1e-9 => self::TooThick,
            $outsideM >= $boreM - self::HOLDS_M - 1e-9 => self::Snug,
            default => self::Loose,
        };
    }

    /** An axle in what it turns in: a bearing, or a wheel that spins on it. In m. */
    public static function ofTurning(float $axleM, float $boreM): self
    {
        return match (true) {
            $axleM >= $boreM => self::TooThick,
            $axleM > $boreM - self::TURNS_FROM_M + 1e-9 => self::Snug,
            $axleM >= $boreM - self::KNOCKS_FROM_M - 1e-9 => self::Free,
            default => self::Loose,
        };
    }

    /** An axle in the hole of a wheel that turns with it: snug, or loose where it slips round. In m. */
    public static function ofFixed(float $axleM, float $boreM): self
    {
        return match (true) {
            $axleM > $boreM + self::PRESSED_M + 1e-9 => self::TooThick,
            $axleM >= $boreM - 1e-9 => self::Snug,
            default => self::Loose,
        };
    }

    /** A tube in the relaxed neck of a balloon, by its width laid flat: rubber gives, so that it is snug from half of it on. In m. */
    public static function inNeck(float $outsideM, float $neckM): self
    {
        return match (true) {
            $outsideM > $neckM + 1e-9 => self::TooThick,
            $outsideM >= $neckM / 2 => self::Snug,
            default => self::Loose,
        };
    }
}
