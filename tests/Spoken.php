<?php

declare(strict_types=1);

namespace Tests;

use App\Language\Words;
use Illuminate\Container\Container;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Translation\FileLoader;
use Illuminate\Translation\Translator;
use Skivo\Core\Diagnosis\Cause;
use Skivo\Core\Measurement\HasRemark;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\UnitSystem;

/** What the core remarks on, as a person would read it, with no framework booted: only its words. */
final readonly class Spoken
{
    public static function say(Remark|HasRemark $remark, UnitSystem $units = UnitSystem::Metric): string
    {
        self::lendWords();

        return (new Words($units))->say($remark instanceof HasRemark ? $remark->remark() : $remark);
    }

    /** Title, why, and cure of a cause, as the page of a diagnosis puts them together. */
    public static function cause(Cause $cause, UnitSystem $units = UnitSystem::Metric): object
    {
        self::lendWords();
        $said = static fn(?Remark $remark): ?string => $remark === null ? null : self::say($remark, $units);

        return (object) [
            'title' => __("diagnosis.cause.{$cause->key}.title"),
            'reason' => implode(' ', array_filter([$said($cause->seen), __("diagnosis.cause.{$cause->key}.why"), $said($cause->found)])),
            'cure' => $said($cause->cure) ?? __("diagnosis.cause.{$cause->key}.cure"),
            'likelihood' => $cause->likelihood,
        ];
    }

    private static function lendWords(): void
    {
        $container = Container::getInstance();
        if (!$container->bound('translator')) {
            $container->instance('translator', new Translator(new FileLoader(new Filesystem(), dirname(__DIR__) . '/lang'), 'en'));
        }
    }
}
