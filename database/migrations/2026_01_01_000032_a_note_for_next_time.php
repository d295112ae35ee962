<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What an educator notes for the next time a plan is held, and what was noted the last time. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->text('note_for_next_time')->nullable();
            $table->text('note_from_last_time')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn(['note_for_next_time', 'note_from_last_time']));
    }
};
