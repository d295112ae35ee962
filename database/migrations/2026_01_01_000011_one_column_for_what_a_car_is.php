<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is recorded of a car goes into one checked JSON column, by the value of a CarAttribute, so that a further attribute
 * needs no migration; a part of one's own names its values likewise, and says what is true of it.
 */
return new class extends Migration {
    private const LENGTHS = [
        'nozzle_bore', 'nozzle_length', 'balloon_nominal', 'balloon_size', 'wheel_diameter', 'chassis_length', 'chassis_width', 'chassis_height',
        'wheelbase', 'rear_axle_place', 'track', 'rear_track', 'axle_diameter', 'axle_length', 'rear_axle_length', 'bearing_bore', 'bearing_length',
        'rear_bearing_length', 'end_play', 'rear_end_play', 'wheel_thickness', 'wheel_hub', 'balloon_relaxed', 'joint_width', 'neck_width', 'wider_bore',
        'widest_bore', 'nozzle_height', 'nozzle_overhang',
    ];
    private const MASSES = ['mass', 'chassis_mass', 'axle_mass', 'wheel_mass', 'balloon_mass', 'nozzle_mass', 'extras_mass'];
    private const COUNTS = ['nozzle_outlets', 'pump_strokes', 'balloons', 'band_turns', 'nozzle_angle'];
    private const KINDS = ['nozzle_kind', 'wheel_kind', 'wheel_mount', 'chassis', 'surface', 'bearing', 'joint', 'wheel_hollow'];

    /** What a part's values were called, by its kind. */
    private const PARTS = [
        'balloon' => ['nominal_m' => 'balloon_nominal', 'relaxed_m' => 'balloon_relaxed', 'film_m' => 'balloon_film', 'neck_m' => 'neck_width'],
        'nozzle' => ['bore_m' => 'nozzle_bore', 'length_m' => 'nozzle_length'],
        'wheel' => [
            'diameter_m' => 'wheel_diameter', 'mass_kg' => 'wheel_mass', 'inertia_factor' => 'wheel_inertia', 'rolling_loss' => 'wheel_loss',
            'thickness_m' => 'wheel_thickness', 'hub_m' => 'wheel_hub',
        ],
        'bearing' => ['axle_m' => 'axle_diameter', 'friction' => 'bearing_friction', 'axle_mass_kg' => 'axle_mass', 'bore_m' => 'bearing_bore'],
        'chassis' => ['width_m' => 'chassis_width', 'length_m' => 'chassis_length', 'height_m' => 'chassis_height'],
        'surface' => ['added_loss' => 'surface_loss'],
    ];

    /** What the names of parts used to say of them. */
    private const TRAITS = [
        ['nozzle', '/straw/i', ['straw']], ['nozzle', '/^(drinking straw|straw|bundle of straws)$/i', ['drinking_straw']],
        ['bearing', '/straw/i', ['turns_in_straw']], ['bearing', '/skewer/i', ['skewer']],
        ['wheel', '/cap|lid/i', ['pierced_by_hand', 'pierced_plastic', 'collected']], ['wheel', '/card disc/i', ['pierced_by_hand']],
        ['wheel', '/optical disc/i', ['collected', 'shatters']], ['chassis', '/bottle|cup|packing/i', ['collected']], ['surface', '/carpet/i', ['soft']],
    ];

    public function up(): void
    {
        Schema::table('cars', static fn(Blueprint $table) => $table->jsonb('choices')->default('{}'));
        $pairs = [];
        foreach ([...self::lengths('_m'), ...self::masses('_kg')] as $name => $column) {
            $pairs[] = "'{$name}', CASE WHEN {$column} IS NULL THEN NULL ELSE jsonb_build_object('si', {$column}, 'typed', {$name}_entered) END";
        }
        foreach ([...self::COUNTS, ...self::KINDS] as $name) {
            $pairs[] = "'{$name}', to_jsonb({$name})";
        }
        // A function takes a hundred arguments at most.
        $objects = array_map(static fn(array $some): string => 'jsonb_build_object(' . implode(', ', $some) . ')', array_chunk($pairs, 20));
        DB::statement('UPDATE cars SET choices = jsonb_strip_nulls(' . implode(' || ', $objects) . ')');
        // What the rows' own deferred checks still have to say, they say before the table changes its shape.
        DB::statement('SET CONSTRAINTS ALL IMMEDIATE');
        Schema::table('cars', static function (Blueprint $table): void {
            $table->dropColumn([
                ...array_values(self::lengths('_m')), ...array_values(self::masses('_kg')), ...self::COUNTS, ...self::KINDS,
                ...array_map(static fn(string $name): string => "{$name}_entered", [...self::LENGTHS, ...self::MASSES]),
            ]);
        });
        // An object whose every value is a word, a count, or a quantity with what was typed; and no quantity below zero.
        DB::unprepared(<<<'SQL'
            ALTER TABLE cars
                ADD CONSTRAINT cars_choices_shape CHECK (
                    jsonb_typeof(choices) = 'object'
                    AND NOT jsonb_path_exists(choices, 'strict $.* ? (@.type() != "string" && @.type() != "number" && @.type() != "object")')
                    AND NOT jsonb_path_exists(choices, 'lax $.* ? (@.type() == "object" && !(exists(@.si ? (@.type() == "number" && @ >= 0)) && exists(@.typed ? (@.type() == "string"))))')
                ),
                ADD CONSTRAINT cars_balloon_measure CHECK (jsonb_exists(choices, 'balloon_size') = (balloon_measured_as IS NOT NULL))
            SQL);

        Schema::table('own_parts', static fn(Blueprint $table) => $table->jsonb('traits')->default('[]'));
        foreach (DB::table('own_parts')->get() as $part) {
            $values = $traits = [];
            foreach ((array) json_decode((string) $part->values, true) as $key => $value) {
                $values[self::PARTS[$part->kind][$key] ?? $key] = $value;
            }
            foreach (self::TRAITS as [$kind, $pattern, $true]) {
                if ($part->kind === $kind && preg_match($pattern, (string) $part->name) === 1) {
                    array_push($traits, ...$true);
                }
            }
            DB::table('own_parts')->where('id', $part->id)->update([
                'values' => json_encode($values), 'traits' => json_encode(array_values(array_unique($traits))), 'origin' => 'own',
            ]);
        }
    }

    public function down(): void
    {
        throw new LogicException('Restore the copy that was taken before this upgrade.');
    }

    /** @return array<string, string> the columns, by name */
    private static function lengths(string $unit): array
    {
        return array_combine(self::LENGTHS, array_map(static fn(string $name): string => $name . $unit, self::LENGTHS));
    }

    /** @return array<string, string> the columns, by name */
    private static function masses(string $unit): array
    {
        return array_combine(self::MASSES, array_map(static fn(string $name): string => $name . $unit, self::MASSES));
    }
};
