<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Practice, other conditions and far walls, sweeps over the fill, several cars of a group, and races. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('practice_runs')->default(0);
            // After the tries, each car so often over the timed length.
            $table->unsignedTinyInteger('timed_rounds')->default(0);
            // Awards of the educator's own: a title each, and the group that has it.
            $table->jsonb('own_awards')->default('[]');
        });
        Schema::table('groups', static function (Blueprint $table): void {
            // Another car of a group has its own cars, runs and place in the order, and the group's mark.
            $table->foreignId('of_group_id')->nullable()->index()->constrained('groups')->cascadeOnDelete();
            $table->boolean('is_nominated')->default(true);
            $table->jsonb('sweep')->nullable();
        });
        DB::statement('DROP INDEX groups_mark_unique');
        DB::statement('CREATE UNIQUE INDEX groups_mark_unique ON groups (challenge_id, mark) WHERE deleted_at IS NULL AND of_group_id IS NULL');
        Schema::create('races', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            // Ids of groups, the first thought the best.
            $table->jsonb('entrants');
            $table->smallInteger('best_of');
            $table->double('length_m')->nullable();
            $table->string('length_entered', 60)->nullable();
            $table->smallInteger('lanes');
            $table->integer('lot')->nullable();
            $table->boolean('broken_loses');
            $table->double('repair_min');
            $table->timestampTz('created_at', 3);
            $table->timestampTz('ended_at', 3)->nullable();
        });
        DB::statement(<<<'SQL'
            ALTER TABLE races
                ADD CHECK (kind IN ('side_by_side', 'knockout', 'round_robin', 'stays_on')),
                ADD CHECK (best_of IN (1, 3)),
                ADD CHECK (lanes >= 1),
                ADD CHECK (length_m > 0),
                ADD CHECK ((length_m IS NULL) = (length_entered IS NULL))
            SQL);
        // What happened in a race, in order; its state is replayed from these.
        Schema::create('race_events', static function (Blueprint $table): void {
            $table->id();
            $table->uuid('event_id')->unique();
            $table->foreignId('race_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignUuid('device_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('kind', 12);
            $table->string('heat', 10)->nullable();
            $table->bigInteger('entrant')->nullable();
            $table->bigInteger('against')->nullable();
            $table->uuid('undoes')->nullable();
            $table->string('why', 12)->nullable();
            $table->timestampTz('made_at', 3);
        });
        DB::statement("ALTER TABLE race_events ADD CHECK (kind IN ('won', 'again', 'repair', 'ready', 'out', 'back', 'undone')), ADD CHECK (why IN ('together', 'neither', 'broke'))");
        Schema::table('runs', static function (Blueprint $table): void {
            $table->string('kind', 10)->default('try');
            $table->boolean('hit_wall')->default(false);
            $table->string('surface', 60)->nullable();
            $table->double('ramp_m')->nullable();
            $table->string('ramp_entered', 60)->nullable();
            $table->foreignId('race_id')->nullable()->index()->constrained()->nullOnDelete();
        });
        DB::statement("ALTER TABLE runs ADD CHECK (kind IN ('try', 'practice', 'heat', 'timed')), ADD CHECK (NOT hit_wall OR past_end), ADD CHECK ((ramp_m IS NULL) = (ramp_entered IS NULL)), ADD CHECK (ramp_m >= 0)");
        DB::statement('DROP INDEX runs_try_unique');
        DB::statement("CREATE UNIQUE INDEX runs_try_unique ON runs (car_id, try) WHERE deleted_at IS NULL AND void_reason IS NULL AND kind = 'try' AND surface IS NULL AND ramp_m IS NULL");
        DB::unprepared(<<<'SQL'
            CREATE OR REPLACE FUNCTION raise_revision() RETURNS trigger LANGUAGE plpgsql AS $$
            DECLARE
                touched bigint;
                record_ record;
            BEGIN
                IF TG_OP = 'DELETE' THEN record_ := OLD; ELSE record_ := NEW; END IF;
                IF TG_TABLE_NAME = 'challenges' THEN
                    touched := record_.id;
                ELSIF TG_TABLE_NAME IN ('groups', 'readings', 'pump_readings', 'races', 'race_events') THEN
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
        foreach (['races', 'race_events'] as $table) {
            DB::statement("CREATE CONSTRAINT TRIGGER {$table}_revision AFTER INSERT OR UPDATE OR DELETE ON {$table} DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION raise_revision()");
        }
    }

    public function down(): void
    {
        DB::table('runs')->where('kind', '<>', 'try')->orWhereNotNull('surface')->orWhereNotNull('ramp_m')->delete();
        DB::statement('DROP INDEX runs_try_unique');
        DB::statement('CREATE UNIQUE INDEX runs_try_unique ON runs (car_id, try) WHERE deleted_at IS NULL AND void_reason IS NULL');
        Schema::table('runs', static fn(Blueprint $table) => $table->dropColumn(['kind', 'hit_wall', 'surface', 'ramp_m', 'ramp_entered', 'race_id']));
        Schema::drop('race_events');
        Schema::drop('races');
        DB::table('groups')->whereNotNull('of_group_id')->delete();
        DB::statement('DROP INDEX groups_mark_unique');
        Schema::table('groups', static fn(Blueprint $table) => $table->dropColumn(['of_group_id', 'is_nominated', 'sweep']));
        DB::statement('CREATE UNIQUE INDEX groups_mark_unique ON groups (challenge_id, mark) WHERE deleted_at IS NULL');
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn(['practice_runs', 'timed_rounds', 'own_awards']));
    }
};
