<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    private const TABLES = ['bench_readings', 'pump_readings', 'predictions'];

    public function up(): void
    {
        // One repeat of a bench test of one version of a car.
        Schema::create('bench_readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('car_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('test', 20);
            foreach (['first', 'second', 'third'] as $name) {
                $table->double("{$name}_si")->nullable();
                $table->string("{$name}_entered", 60)->nullable();
            }
            $table->timestampTz('made_at', 3);
            // What was typed over stays on record, and can be put back.
            $table->softDeletesTz('deleted_at', 3);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE bench_readings
                ADD CHECK (first_si >= 0 AND first_entered IS NOT NULL),
                ALTER first_si SET NOT NULL,
                ADD CHECK (second_si >= 0),
                ADD CHECK (third_si >= 0),
                ADD CHECK ((second_si IS NULL) = (second_entered IS NULL)),
                ADD CHECK ((third_si IS NULL) = (third_entered IS NULL))
            SQL);

        // How large a balloon is after so many strokes of the class's pump.
        Schema::create('pump_readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->smallInteger('strokes');
            $table->double('size_m');
            $table->string('size_entered', 60);
            $table->string('measured_as', 20);
        });
        DB::statement("ALTER TABLE pump_readings ADD CHECK (strokes BETWEEN 1 AND 500), ADD CHECK (size_m > 0), ADD CHECK (measured_as IN ('diameter', 'circumference'))");

        // What a group expected of a try before it was made.
        Schema::create('predictions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('car_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('try');
            $table->double('distance_m');
            $table->string('distance_entered', 60);
            $table->timestampTz('made_at', 3);
            $table->unique(['car_id', 'try']);
        });
        DB::statement('ALTER TABLE predictions ADD CHECK (try >= 1), ADD CHECK (distance_m >= 0)');

        DB::unprepared(<<<'SQL'
            CREATE OR REPLACE FUNCTION raise_revision() RETURNS trigger LANGUAGE plpgsql AS $$
            DECLARE
                touched bigint;
                record_ record;
            BEGIN
                IF TG_OP = 'DELETE' THEN record_ := OLD; ELSE record_ := NEW; END IF;
                IF TG_TABLE_NAME = 'challenges' THEN
                    touched := record_.id;
                ELSIF TG_TABLE_NAME IN ('groups', 'readings', 'pump_readings') THEN
                    touched := record_.challenge_id;
                ELSIF TG_TABLE_NAME = 'cars' THEN
                    SELECT challenge_id INTO touched FROM groups WHERE id = record_.group_id;
                ELSE
                    SELECT groups.challenge_id INTO touched FROM cars JOIN groups ON groups.id = cars.group_id WHERE cars.id = record_.car_id;
                END IF;
                INSERT INTO revisions AS r (challenge_id, number, transaction)
                    SELECT touched, 1, txid_current() FROM challenges WHERE id = touched
                    ON CONFLICT (challenge_id) DO UPDATE SET number = r.number + 1, transaction = txid_current()
                    WHERE r.transaction IS DISTINCT FROM txid_current();
                RETURN NULL;
            END $$;
            SQL);
        foreach (self::TABLES as $table) {
            DB::statement("CREATE CONSTRAINT TRIGGER {$table}_revision AFTER INSERT OR UPDATE OR DELETE ON {$table} DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION raise_revision()");
        }
    }

    public function down(): void
    {
        foreach (self::TABLES as $table) {
            Schema::drop($table);
        }
    }
};
