<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('runs', function (Blueprint $table): void {
            // Made by whoever logs it, so that the same run sent twice is stored once.
            $table->uuid('id')->primary();
            $table->foreignId('car_id')->index()->constrained()->cascadeOnDelete();
            $table->smallInteger('try');
            $table->double('distance_m')->nullable();
            $table->string('distance_entered', 60)->nullable();
            $table->double('time_s')->nullable();
            $table->string('time_entered', 60)->nullable();
            $table->string('void_reason', 20)->nullable();
            $table->text('note')->nullable();
            $table->timestampTz('logged_at', 3);
            $table->timestampTz('updated_at', 3)->nullable();
            $table->softDeletesTz();
        });
        DB::statement(<<<'SQL'
            ALTER TABLE runs
                ADD CHECK (try >= 1),
                ADD CHECK (distance_m BETWEEN 0 AND 100),
                ADD CHECK (time_s > 0),
                ADD CHECK (void_reason IN ('no start', 'hit something', 'wheel off', 'balloon off', 'burst', 'pushed')),
                ADD CHECK (void_reason IS NOT NULL OR distance_m IS NOT NULL),
                ADD CHECK ((distance_m IS NULL) = (distance_entered IS NULL)),
                ADD CHECK ((time_s IS NULL) = (time_entered IS NULL))
            SQL);
        // A car has each try once; a void one is made again under its number.
        DB::statement('CREATE UNIQUE INDEX runs_try_unique ON runs (car_id, try) WHERE deleted_at IS NULL AND void_reason IS NULL');

        // What happened to each run, by whom and when: nothing that was once on record is lost.
        Schema::create('run_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('run_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->jsonb('before');
            $table->jsonb('after');
            $table->timestampTz('made_at', 3);
        });
        DB::statement("ALTER TABLE run_changes ADD CHECK (kind IN ('edited', 'undone', 'restored'))");
    }

    public function down(): void
    {
        Schema::drop('run_changes');
        Schema::drop('runs');
    }
};
