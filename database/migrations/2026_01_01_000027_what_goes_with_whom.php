<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What a class recorded stays when one of those who recorded it deletes their account: only that it was they is forgotten
 * (docs/architecture.md has the table of who takes what along). And who has two tablets sees on one what is ticked on the other.
 */
return new class extends Migration {
    private const OF_A_CLASS = ['acts', 'allowances', 'bench_readings', 'car_changes', 'check_readings'];

    public function up(): void
    {
        foreach (self::OF_A_CLASS as $table) {
            DB::statement("ALTER TABLE {$table} ALTER COLUMN user_id DROP NOT NULL");
            $this->refer($table, 'SET NULL');
        }
        DB::unprepared(<<<'SQL'
            CREATE FUNCTION raise_revision_of_group() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF TG_TABLE_NAME = 'entries' THEN
                    -- A tablet alone knows what it ticked itself.
                    IF NEW.kind = 'tick' AND 2 > (
                        SELECT count(*) FROM devices WHERE group_id = NEW.group_id AND revoked_at IS NULL AND NOT is_waiting
                    ) THEN
                        RETURN NULL;
                    END IF;
                END IF;
                INSERT INTO revisions AS r (challenge_id, number, transaction)
                    SELECT challenge_id, 1, txid_current() FROM groups WHERE id = NEW.group_id
                    ON CONFLICT (challenge_id) DO UPDATE SET number = r.number + 1, transaction = txid_current()
                    WHERE r.transaction IS DISTINCT FROM txid_current();
                RETURN NULL;
            END $$;
            CREATE CONSTRAINT TRIGGER entries_revision AFTER INSERT ON entries DEFERRABLE INITIALLY DEFERRED
                FOR EACH ROW WHEN (NEW.kind IN ('tick', 'help')) EXECUTE FUNCTION raise_revision_of_group();
            CREATE CONSTRAINT TRIGGER group_places_revision AFTER UPDATE ON group_places DEFERRABLE INITIALLY DEFERRED
                FOR EACH ROW WHEN (OLD.wants_adult_at IS DISTINCT FROM NEW.wants_adult_at) EXECUTE FUNCTION raise_revision_of_group();
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            DROP TRIGGER group_places_revision ON group_places;
            DROP TRIGGER entries_revision ON entries;
            DROP FUNCTION raise_revision_of_group();
            SQL);
        foreach (self::OF_A_CLASS as $table) {
            $this->refer($table, 'CASCADE');
        }
        foreach (['allowances', 'bench_readings'] as $table) {
            DB::table($table)->whereNull('user_id')->delete();
            DB::statement("ALTER TABLE {$table} ALTER COLUMN user_id SET NOT NULL");
        }
    }

    private function refer(string $table, string $onDelete): void
    {
        $names = DB::select(
            "SELECT conname FROM pg_constraint JOIN pg_attribute ON attrelid = conrelid AND attnum = conkey[1] WHERE contype = 'f' AND conrelid = ?::regclass AND attname = 'user_id'",
            [$table],
        );
        foreach ($names as $each) {
            DB::statement("ALTER TABLE {$table} DROP CONSTRAINT \"{$each->conname}\"");
        }
        DB::statement("ALTER TABLE {$table} ADD CONSTRAINT {$table}_user_id_foreign FOREIGN KEY (user_id) REFERENCES users (id) ON DELETE {$onDelete}");
    }
};
