<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('groups', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->string('mark', 20);
            $table->integer('position');
            $table->timestampsTz();
            $table->softDeletesTz();
        });
        // A removed group frees its name and its mark.
        DB::statement('CREATE UNIQUE INDEX groups_name_unique ON groups (challenge_id, lower(name)) WHERE deleted_at IS NULL');
        DB::statement('CREATE UNIQUE INDEX groups_mark_unique ON groups (challenge_id, mark) WHERE deleted_at IS NULL');

        Schema::create('cars', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('group_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('version');
            $table->string('nozzle_kind', 80)->nullable();
            $table->double('nozzle_bore_m')->nullable();
            $table->string('nozzle_bore_entered', 60)->nullable();
            $table->smallInteger('nozzle_outlets')->nullable();
            $table->double('nozzle_length_m')->nullable();
            $table->string('nozzle_length_entered', 60)->nullable();
            $table->double('balloon_nominal_m')->nullable();
            $table->string('balloon_nominal_entered', 60)->nullable();
            $table->double('balloon_size_m')->nullable();
            $table->string('balloon_size_entered', 60)->nullable();
            $table->string('balloon_measured_as', 20)->nullable();
            $table->smallInteger('pump_strokes')->nullable();
            $table->double('mass_kg')->nullable();
            $table->string('mass_entered', 60)->nullable();
            $table->string('wheel_kind', 80)->nullable();
            $table->double('wheel_diameter_m')->nullable();
            $table->string('wheel_diameter_entered', 60)->nullable();
            $table->string('wheel_mount', 40)->nullable();
            $table->string('chassis', 80)->nullable();
            $table->string('surface', 80)->nullable();
            $table->text('note')->nullable();
            $table->text('reason')->nullable();
            $table->timestampsTz();
            $table->unique(['group_id', 'version']);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE cars
                ADD CHECK (version >= 1),
                ADD CHECK (nozzle_bore_m > 0),
                ADD CHECK (nozzle_outlets >= 1),
                ADD CHECK (nozzle_length_m >= 0),
                ADD CHECK (balloon_nominal_m > 0),
                ADD CHECK (balloon_size_m > 0),
                ADD CHECK (balloon_measured_as IN ('diameter', 'circumference')),
                ADD CHECK ((balloon_size_m IS NULL) = (balloon_measured_as IS NULL)),
                ADD CHECK (pump_strokes >= 1),
                ADD CHECK (mass_kg > 0),
                ADD CHECK (wheel_diameter_m > 0),
                ADD CHECK (wheel_mount IN ('fixed to the axle', 'spinning on the axle')),
                ADD CHECK ((nozzle_bore_m IS NULL) = (nozzle_bore_entered IS NULL)),
                ADD CHECK ((nozzle_length_m IS NULL) = (nozzle_length_entered IS NULL)),
                ADD CHECK ((balloon_nominal_m IS NULL) = (balloon_nominal_entered IS NULL)),
                ADD CHECK ((balloon_size_m IS NULL) = (balloon_size_entered IS NULL)),
                ADD CHECK ((mass_kg IS NULL) = (mass_entered IS NULL)),
                ADD CHECK ((wheel_diameter_m IS NULL) = (wheel_diameter_entered IS NULL))
            SQL);
    }

    public function down(): void
    {
        Schema::drop('cars');
        Schema::drop('groups');
    }
};
