<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    private const CUTS = ['chassis_width', 'wheel_thickness', 'end_play', 'overhang', 'side_gap', 'straw_length', 'skewer_length', 'kerf', 'nozzle_length'];

    public function up(): void
    {
        Schema::table('challenges', function (Blueprint $table): void {
            // Further goals, each its own award, as a list of Goal
            $table->jsonb('awards')->default('[]');
            $table->double('mark_distance_m')->nullable();
            $table->string('mark_distance_entered', 60)->nullable();
            $table->double('load_length_m')->nullable();
            $table->string('load_length_entered', 60)->nullable();
            $table->smallInteger('lanes')->default(1);
            $table->double('air_temperature_c')->nullable();
            $table->string('air_temperature_entered', 20)->nullable();
            // What groups may vary, as a list of Step; null for everything
            $table->jsonb('free_steps')->nullable();
            // Names that a part may have, by PartKind
            $table->jsonb('allowed')->default('{}');
            $table->smallInteger('most_balloons')->nullable();
            $table->smallInteger('most_straws')->nullable();
            $table->double('heaviest_kg')->nullable();
            $table->string('heaviest_entered', 60)->nullable();
            $table->double('longest_m')->nullable();
            $table->string('longest_entered', 60)->nullable();
            $table->boolean('push_is_foul')->default(true);
            // Limits of checks that are not the usual ones, by CheckItem, in SI or degrees
            $table->jsonb('tolerances')->default('{}');
            $table->timestampTz('safety_read_at')->nullable();
            // Which cautions stood there when it was read, as a list of Caution
            $table->jsonb('safety_read')->default('[]');
        });
        DB::statement(<<<'SQL'
            ALTER TABLE challenges
                DROP CONSTRAINT challenges_goal_check,
                ADD CONSTRAINT challenges_goal_check CHECK (goal IN ('farthest', 'fastest', 'straightest', 'nearest', 'load')),
                ADD CHECK (lanes BETWEEN 1 AND 12),
                ADD CHECK (air_temperature_c BETWEEN -10 AND 45),
                ADD CHECK (most_balloons BETWEEN 1 AND 6),
                ADD CHECK (most_straws BETWEEN 1 AND 60),
                ADD CHECK (heaviest_kg > 0),
                ADD CHECK (longest_m > 0),
                ADD CHECK (mark_distance_m BETWEEN 0.5 AND 100),
                ADD CHECK (load_length_m BETWEEN 0.5 AND 100),
                ADD CHECK (goal <> 'nearest' OR mark_distance_m IS NOT NULL),
                ADD CHECK (goal <> 'load' OR load_length_m IS NOT NULL),
                ADD CHECK ((mark_distance_m IS NULL) = (mark_distance_entered IS NULL)),
                ADD CHECK ((load_length_m IS NULL) = (load_length_entered IS NULL)),
                ADD CHECK ((heaviest_kg IS NULL) = (heaviest_entered IS NULL)),
                ADD CHECK ((longest_m IS NULL) = (longest_entered IS NULL))
            SQL);
        // Classes that are building already are not stopped by the safety sheet.
        DB::statement('UPDATE challenges SET safety_read_at = now() WHERE EXISTS (SELECT 1 FROM groups WHERE groups.challenge_id = challenges.id)');

        Schema::create('plans', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->unique()->constrained()->cascadeOnDelete();
            $table->smallInteger('groups')->default(8);
            $table->smallInteger('group_size')->default(3);
            $table->smallInteger('spares_percent')->default(20);
            foreach (['chassis', 'wheels', 'bearing', 'nozzle', 'balloon', 'joint'] as $part) {
                $table->string("kit_{$part}", 80);
            }
            $table->boolean('by_mouth')->default(false);
            $table->boolean('latex_free')->default(false);
            foreach (self::CUTS as $cut) {
                $table->double("{$cut}_m")->nullable();
                $table->string("{$cut}_entered", 60)->nullable();
            }
            $table->smallInteger('nozzles_each')->default(1);
            $table->smallInteger('session_min')->default(120);
            // On the clock of the place where it happens
            $table->timestamp('starts_at', 0)->nullable();
            $table->double('heat_min')->default(2);
            $table->smallInteger('tries_again')->default(0);
            // Minutes by Phase, where they are not the usual ones
            $table->jsonb('phases')->default('{}');
            $table->timestampsTz();
        });
        DB::statement(<<<'SQL'
            ALTER TABLE plans
                ADD CHECK (groups BETWEEN 1 AND 40),
                ADD CHECK (group_size BETWEEN 1 AND 12),
                ADD CHECK (spares_percent BETWEEN 0 AND 200),
                ADD CHECK (nozzles_each BETWEEN 1 AND 12),
                ADD CHECK (session_min BETWEEN 10 AND 1440),
                ADD CHECK (heat_min BETWEEN 0.5 AND 60),
                ADD CHECK (tries_again BETWEEN 0 AND 20)
            SQL);
        foreach (self::CUTS as $cut) {
            DB::statement("ALTER TABLE plans ADD CHECK ({$cut}_m >= 0), ADD CHECK (({$cut}_m IS NULL) = ({$cut}_entered IS NULL))");
        }

        // What an educator changed on the list of materials, and lines of their own.
        Schema::create('material_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            // Of the standard line that is changed; null for one of their own
            $table->string('key', 40)->nullable();
            $table->string('name', 80)->nullable();
            $table->double('amount')->nullable();
            $table->string('per', 20)->nullable();
            $table->string('unit', 40)->nullable();
            $table->boolean('is_early')->default(false);
            $table->decimal('price', 10, 2)->nullable();
            $table->timestampsTz();
            $table->unique(['challenge_id', 'key']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE material_lines
                ADD CHECK (amount BETWEEN 0 AND 10000),
                ADD CHECK (price BETWEEN 0 AND 100000),
                ADD CHECK (per IN ('group', 'learner', 'lane', 'class')),
                ADD CHECK (key IS NOT NULL OR (name IS NOT NULL AND amount IS NOT NULL AND per IS NOT NULL))
            SQL);

        // Parts of an educator's own, from before a part had these.
        foreach (['wheel' => '{"thickness_m": 0.01}', 'bearing' => '{"bore_m": 0.005}', 'balloon' => '{"neck_m": 0.015}'] as $kind => $added) {
            DB::update('UPDATE own_parts SET values = ?::jsonb || values WHERE kind = ?', [$added, $kind]);
        }
    }

    public function down(): void
    {
        Schema::drop('material_lines');
        Schema::drop('plans');
        Schema::table('challenges', function (Blueprint $table): void {
            $table->dropColumn([
                'awards', 'mark_distance_m', 'mark_distance_entered', 'load_length_m', 'load_length_entered', 'lanes', 'air_temperature_c', 'air_temperature_entered', 'free_steps', 'allowed',
                'most_balloons', 'most_straws', 'heaviest_kg', 'heaviest_entered', 'longest_m', 'longest_entered', 'push_is_foul', 'tolerances', 'safety_read_at', 'safety_read',
            ]);
        });
    }
};
