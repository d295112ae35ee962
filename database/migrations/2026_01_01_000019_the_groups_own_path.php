<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A path of stations for each group, its notebook, and one code for the class. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', static function (Blueprint $table): void {
            $table->jsonb('closed_stations')->default('[]');
            $table->string('word_to_all', 200)->nullable();
            $table->timestampTz('word_at', 3)->nullable();
            $table->boolean('closing_is_open')->default(false);
        });
        // Where a group is; beside the groups, so that a step from station to station draws no page of the class anew.
        Schema::create('group_places', static function (Blueprint $table): void {
            $table->foreignId('group_id')->primary()->constrained()->cascadeOnDelete();
            $table->string('station', 10);
            $table->timestampTz('since', 3);
            $table->timestampTz('wants_adult_at', 3)->nullable();
        });
        // What a group writes, draws, ticks and guesses; made at the tablet, by ids of its own, so that each comes in once.
        Schema::create('entries', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('group_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('car_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->uuid('run_id')->nullable()->index();
            $table->foreignId('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignUuid('device_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('kind', 12);
            $table->jsonb('payload');
            $table->timestampTz('made_at', 3);
            $table->timestampTz('created_at', 3);
            $table->timestampTz('hidden_at', 3)->nullable();
            // An educator has looked at the picture: only then may it leave the notebook.
            $table->timestampTz('looked_at', 3)->nullable();
        });
        DB::statement("ALTER TABLE entries ADD CONSTRAINT entries_kind_check CHECK (kind IN ('tick', 'guess', 'note', 'wish', 'sketch', 'photo', 'check', 'warm_up', 'why', 'closing', 'help'))");
        // In the database, so that a backup has them and deleting a challenge deletes them; never in the web root.
        Schema::create('pictures', static function (Blueprint $table): void {
            $table->foreignUuid('entry_id')->primary()->constrained()->cascadeOnDelete();
            $table->binary('jpeg');
            $table->unsignedSmallInteger('width');
            $table->unsignedSmallInteger('height');
        });
        Schema::table('predictions', static function (Blueprint $table): void {
            $table->string('reason', 500)->nullable();
            $table->string('direction', 10)->nullable();
        });
        DB::statement("ALTER TABLE predictions ADD CONSTRAINT predictions_direction_check CHECK (direction IS NULL OR direction IN ('farther', 'same', 'less_far'))");
        Schema::table('check_readings', static function (Blueprint $table): void {
            $table->unsignedBigInteger('user_id')->nullable()->change();
            $table->foreignUuid('device_id')->nullable()->index()->constrained()->nullOnDelete();
        });
        Schema::table('devices', static fn(Blueprint $table) => $table->boolean('is_waiting')->default(false));
        // A code for groups that names none is the whole class's: each tablet picks its mark.
        foreach (DB::select("SELECT conname FROM pg_constraint WHERE conrelid = 'join_codes'::regclass AND contype = 'c' AND pg_get_constraintdef(oid) LIKE '%group_id%'") as $constraint) {
            DB::statement("ALTER TABLE join_codes DROP CONSTRAINT {$constraint->conname}");
        }
        DB::statement("ALTER TABLE join_codes ADD CONSTRAINT join_codes_group_check CHECK (role = 'group' OR group_id IS NULL)");
    }

    public function down(): void
    {
        DB::table('join_codes')->where('role', 'group')->whereNull('group_id')->delete();
        Schema::table('devices', static fn(Blueprint $table) => $table->dropColumn('is_waiting'));
        DB::table('check_readings')->whereNull('user_id')->delete();
        Schema::table('check_readings', static fn(Blueprint $table) => $table->dropColumn('device_id'));
        Schema::table('predictions', static fn(Blueprint $table) => $table->dropColumn(['reason', 'direction']));
        Schema::drop('pictures');
        Schema::drop('entries');
        Schema::drop('group_places');
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn(['closed_stations', 'word_to_all', 'word_at', 'closing_is_open']));
    }
};
