<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', function (Blueprint $table): void {
            $table->boolean('void_is_retried')->default(true);
            // While it is set, groups see their car and runs but change nothing.
            $table->boolean('groups_are_locked')->default(false);
        });

        Schema::table('groups', function (Blueprint $table): void {
            $table->boolean('is_repairing')->default(false);
            $table->boolean('is_withdrawn')->default(false);
            $table->smallInteger('skipped_try')->nullable();
            $table->timestampTz('skipped_at', 3)->nullable();
        });

        // Whatever joins a challenge without an account: a helper's or a group's tablet, a board, an instrument.
        Schema::create('devices', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('group_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->string('role', 20);
            $table->string('name', 80);
            // SHA-256 of the token that it shows; the token itself is only with the device
            $table->char('token_hash', 64)->unique();
            $table->timestampTz('created_at', 3);
            $table->timestampTz('seen_at', 3)->nullable();
            $table->timestampTz('revoked_at', 3)->nullable();
        });
        DB::statement(<<<'SQL'
            ALTER TABLE devices
                ADD CHECK (role IN ('log', 'group', 'board', 'instrument')),
                ADD CHECK ((role = 'group') = (group_id IS NOT NULL))
            SQL);

        // What one types or scans to join.
        Schema::create('join_codes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('group_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->string('role', 20);
            $table->string('code', 12)->unique();
            $table->timestampTz('expires_at', 3);
            $table->timestampTz('created_at', 3);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE join_codes
                ADD CHECK (role IN ('log', 'group')),
                ADD CHECK ((role = 'group') = (group_id IS NOT NULL))
            SQL);

        Schema::table('runs', function (Blueprint $table): void {
            $table->smallInteger('lane')->nullable();
            $table->string('inflation_kind', 20)->nullable();
            $table->double('inflation_size_m')->nullable();
            $table->string('inflation_size_entered', 60)->nullable();
            $table->smallInteger('inflation_strokes')->nullable();
            $table->double('limp_m')->nullable();
            $table->string('limp_entered', 60)->nullable();
            $table->double('total_time_s')->nullable();
            $table->string('total_time_entered', 60)->nullable();
            // Goes up with every change, so that two who change the same run notice each other.
            $table->integer('edition')->default(1);
        });
        DB::statement(<<<'SQL'
            ALTER TABLE runs
                ADD CHECK (lane BETWEEN 1 AND 12),
                ADD CHECK (inflation_kind IN ('full', 'strokes', 'diameter', 'circumference')),
                ADD CHECK (inflation_strokes BETWEEN 1 AND 500),
                ADD CHECK ((inflation_kind = 'strokes') = (inflation_strokes IS NOT NULL)),
                ADD CHECK ((inflation_kind IN ('diameter', 'circumference')) = (inflation_size_m IS NOT NULL)),
                ADD CHECK ((inflation_size_m IS NULL) = (inflation_size_entered IS NULL)),
                ADD CHECK (limp_m BETWEEN 0 AND 100),
                ADD CHECK ((limp_m IS NULL) = (limp_entered IS NULL)),
                ADD CHECK (total_time_s > 0),
                ADD CHECK ((total_time_s IS NULL) = (total_time_entered IS NULL))
            SQL);

        Schema::table('run_changes', function (Blueprint $table): void {
            $table->foreignUuid('device_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->nullable()->change();
        });

        Schema::table('car_changes', function (Blueprint $table): void {
            $table->foreignUuid('device_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->nullable()->change();
        });

        // What instruments saw: gate crossings, traces, weights. Ids are made by the instrument.
        Schema::create('readings', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('device_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignUuid('run_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('kind', 20);
            $table->smallInteger('lane')->nullable();
            $table->jsonb('data');
            $table->timestampTz('measured_at', 3);
            $table->timestampTz('received_at', 3);
        });
        DB::statement("ALTER TABLE readings ADD CHECK (kind IN ('gate', 'trace', 'mass', 'thrust')), ADD CHECK (lane BETWEEN 1 AND 12)");
        DB::statement('CREATE INDEX readings_waiting ON readings (challenge_id, lane, measured_at) WHERE run_id IS NULL');

        // One number a challenge, which goes up with every change that a page would show.
        Schema::create('revisions', function (Blueprint $table): void {
            $table->foreignId('challenge_id')->primary()->constrained()->cascadeOnDelete();
            $table->bigInteger('number')->default(1);
            $table->bigInteger('transaction')->nullable();
        });
        DB::statement('INSERT INTO revisions (challenge_id) SELECT id FROM challenges');
        // At the very end of a transaction and once in it: nobody waits for this row while holding another.
        DB::unprepared(<<<'SQL'
            CREATE FUNCTION raise_revision() RETURNS trigger LANGUAGE plpgsql AS $$
            DECLARE
                touched bigint;
                record_ record;
            BEGIN
                IF TG_OP = 'DELETE' THEN record_ := OLD; ELSE record_ := NEW; END IF;
                IF TG_TABLE_NAME = 'challenges' THEN
                    touched := record_.id;
                ELSIF TG_TABLE_NAME IN ('groups', 'readings') THEN
                    touched := record_.challenge_id;
                ELSIF TG_TABLE_NAME = 'cars' THEN
                    SELECT challenge_id INTO touched FROM groups WHERE id = record_.group_id;
                ELSIF TG_TABLE_NAME IN ('runs', 'check_readings', 'allowances') THEN
                    SELECT groups.challenge_id INTO touched FROM cars JOIN groups ON groups.id = cars.group_id WHERE cars.id = record_.car_id;
                END IF;
                INSERT INTO revisions AS r (challenge_id, number, transaction)
                    SELECT touched, 1, txid_current() FROM challenges WHERE id = touched
                    ON CONFLICT (challenge_id) DO UPDATE SET number = r.number + 1, transaction = txid_current()
                    WHERE r.transaction IS DISTINCT FROM txid_current();
                RETURN NULL;
            END $$;
            SQL);
        foreach (['challenges', 'groups', 'cars', 'runs', 'check_readings', 'allowances', 'readings'] as $table) {
            DB::statement("CREATE CONSTRAINT TRIGGER {$table}_revision AFTER INSERT OR UPDATE OR DELETE ON {$table} DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION raise_revision()");
        }
    }

    public function down(): void
    {
        foreach (['challenges', 'groups', 'cars', 'runs', 'check_readings', 'allowances', 'readings'] as $table) {
            DB::statement("DROP TRIGGER {$table}_revision ON {$table}");
        }
        DB::statement('DROP FUNCTION raise_revision');
        Schema::drop('revisions');
        Schema::drop('readings');
        foreach (['run_changes', 'car_changes'] as $table) {
            Schema::table($table, static fn(Blueprint $table) => $table->dropColumn('device_id'));
        }
        Schema::table('runs', static fn(Blueprint $table) => $table->dropColumn([
            'lane', 'inflation_kind', 'inflation_size_m', 'inflation_size_entered', 'inflation_strokes', 'limp_m', 'limp_entered', 'total_time_s', 'total_time_entered', 'edition',
        ]));
        Schema::drop('join_codes');
        Schema::drop('devices');
        Schema::table('groups', static fn(Blueprint $table) => $table->dropColumn(['is_repairing', 'is_withdrawn', 'skipped_try', 'skipped_at']));
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn(['void_is_retried', 'groups_are_locked']));
    }
};
