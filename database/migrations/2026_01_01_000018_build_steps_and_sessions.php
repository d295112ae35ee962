<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How a class's cars are built and decorated, who is at hand, and in how many sessions; the form of an own chassis. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->string('decoration', 10)->default('none');
            $table->string('decorated_with', 10)->default('pens');
            $table->string('bearings_by', 12)->default('tape');
            $table->unsignedSmallInteger('adults')->default(1);
            $table->jsonb('further_sessions')->default('[]');
            $table->date('collect_by')->nullable();
        });
        DB::statement("ALTER TABLE plans ADD CONSTRAINT plans_build_check CHECK (decoration IN ('none', 'first', 'last')"
            . " AND decorated_with IN ('pens', 'paint') AND bearings_by IN ('tape', 'hot glue', 'craft glue') AND adults BETWEEN 1 AND 40)");
        Schema::table('own_parts', static fn(Blueprint $table) => $table->string('form', 20)->nullable());
        Schema::table('material_lines', static fn(Blueprint $table) => $table->unsignedInteger('pack')->nullable());
        DB::statement('ALTER TABLE material_lines ADD CONSTRAINT material_lines_pack_check CHECK (pack IS NULL OR pack BETWEEN 1 AND 10000)');
        // How many of a line were there on a day: collecting takes weeks.
        Schema::create('material_counts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->string('key', 40);
            $table->unsignedInteger('count');
            $table->date('counted_on');
            $table->timestampsTz();
            $table->unique(['challenge_id', 'key', 'counted_on']);
        });
        Schema::table('runs', static fn(Blueprint $table) => $table->string('filled_by', 10)->nullable());
        DB::statement("ALTER TABLE runs ADD CONSTRAINT runs_filled_by_check CHECK (filled_by IS NULL OR filled_by IN ('pump', 'mouth'))");
    }

    public function down(): void
    {
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn(['decoration', 'decorated_with', 'bearings_by', 'adults', 'further_sessions', 'collect_by']));
        Schema::drop('material_counts');
        Schema::table('material_lines', static fn(Blueprint $table) => $table->dropColumn('pack'));
        Schema::table('own_parts', static fn(Blueprint $table) => $table->dropColumn('form'));
        Schema::table('runs', static fn(Blueprint $table) => $table->dropColumn('filled_by'));
    }
};
