<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    /** By the unit of the column that holds the SI value. */
    private const QUANTITIES = [
        '_m' => [
            'chassis_length', 'chassis_width', 'chassis_height', 'wheelbase', 'rear_axle_place', 'track',
            'rear_track', 'axle_diameter', 'axle_length', 'rear_axle_length', 'bearing_bore', 'bearing_length',
            'rear_bearing_length', 'end_play', 'rear_end_play', 'wheel_thickness', 'balloon_relaxed', 'joint_width',
            'neck_width', 'wider_bore', 'widest_bore', 'nozzle_height', 'nozzle_overhang',
        ],
        '_kg' => [
            'chassis_mass', 'axle_mass', 'wheel_mass', 'balloon_mass', 'nozzle_mass', 'extras_mass',
        ],
    ];

    private const COUNTS = ['balloons', 'band_turns', 'nozzle_angle'];

    private const KINDS = ['bearing', 'joint'];

    public function up(): void
    {
        Schema::table('cars', function (Blueprint $table): void {
            foreach (self::QUANTITIES as $unit => $names) {
                foreach ($names as $name) {
                    $table->double($name . $unit)->nullable();
                    $table->string("{$name}_entered", 60)->nullable();
                }
            }
            foreach (self::COUNTS as $name) {
                $table->smallInteger($name)->nullable();
            }
            foreach (self::KINDS as $name) {
                $table->string($name, 80)->nullable();
            }
        });
        foreach (self::QUANTITIES as $unit => $names) {
            foreach ($names as $name) {
                DB::statement("ALTER TABLE cars ADD CHECK ({$name}{$unit} >= 0), ADD CHECK (({$name}{$unit} IS NULL) = ({$name}_entered IS NULL))");
            }
        }
        DB::statement('ALTER TABLE cars ADD CHECK (balloons >= 1), ADD CHECK (band_turns >= 1), ADD CHECK (nozzle_angle BETWEEN -90 AND 180)');

        Schema::table('runs', function (Blueprint $table): void {
            $table->double('drift_m')->nullable();
            $table->string('drift_entered', 60)->nullable();
            $table->string('drift_side', 10)->nullable();
            $table->double('load_kg')->nullable();
            $table->string('load_entered', 60)->nullable();
        });
        DB::statement(<<<'SQL'
            ALTER TABLE runs
                ADD CHECK (drift_m >= 0),
                ADD CHECK (drift_side IN ('left', 'right')),
                ADD CHECK (drift_m IS NULL OR drift_m = 0 OR drift_side IS NOT NULL),
                ADD CHECK ((drift_m IS NULL) = (drift_entered IS NULL)),
                ADD CHECK (load_kg >= 0),
                ADD CHECK ((load_kg IS NULL) = (load_entered IS NULL))
            SQL);

        // What a car's record said before it was corrected, by whom and when.
        Schema::create('car_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('car_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->jsonb('before');
            $table->jsonb('after');
            $table->timestampTz('made_at', 3);
        });

        // Breaches of the rules that the educator allowed.
        Schema::create('allowances', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('car_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('rule', 40);
            $table->text('reason');
            $table->timestampTz('made_at', 3);
            $table->unique(['car_id', 'rule']);
        });

        // The check card of a car: one row an item, as it stands now.
        Schema::create('check_readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('car_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('item', 30);
            $table->double('first_si')->nullable();
            $table->string('first_entered', 60)->nullable();
            $table->double('second_si')->nullable();
            $table->string('second_entered', 60)->nullable();
            $table->string('side', 10)->nullable();
            $table->boolean('answer')->nullable();
            $table->text('note')->nullable();
            $table->timestampsTz();
            $table->unique(['car_id', 'item']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE check_readings
                ADD CHECK (first_si >= 0),
                ADD CHECK (second_si >= 0),
                ADD CHECK (side IN ('left', 'right')),
                ADD CHECK ((first_si IS NULL) = (first_entered IS NULL)),
                ADD CHECK ((second_si IS NULL) = (second_entered IS NULL)),
                ADD CHECK (first_si IS NOT NULL OR answer IS NOT NULL OR note IS NOT NULL)
            SQL);
    }

    public function down(): void
    {
        Schema::drop('check_readings');
        Schema::drop('allowances');
        Schema::drop('car_changes');
        Schema::table('runs', function (Blueprint $table): void {
            $table->dropColumn(['drift_m', 'drift_entered', 'drift_side', 'load_kg', 'load_entered']);
        });
        Schema::table('cars', function (Blueprint $table): void {
            foreach (self::QUANTITIES as $unit => $names) {
                foreach ($names as $name) {
                    $table->dropColumn([$name . $unit, "{$name}_entered"]);
                }
            }
            $table->dropColumn([...self::COUNTS, ...self::KINDS]);
        });
    }
};
