<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the failed checks of one class say to its educator's other classes, at which of its revisions. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('check_lessons', static function (Blueprint $table): void {
            $table->foreignId('challenge_id')->primary()->constrained()->cascadeOnDelete();
            $table->bigInteger('revision');
            // of the program that worked it out
            $table->string('build', 40);
            // of each car: which checks it failed, and how well it rolled, beside the middle of its class
            $table->jsonb('rows');
        });
    }

    public function down(): void
    {
        Schema::drop('check_lessons');
    }
};
