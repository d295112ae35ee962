<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;

/** A test with the framework booted, on the database that bin/skivo test has set up. */
abstract class TestCase extends LaravelTestCase
{
    public function createApplication(): Application
    {
        $application = require __DIR__ . '/../bootstrap/app.php';
        $application->make(Kernel::class)->bootstrap();

        return $application;
    }
}
