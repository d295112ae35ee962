<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A try of a car with a wound band says by how many turns, and may be void for reasons of its own. */
return new class extends Migration {
    public function up(): void
    {
        $this->replace(
            "inflation_kind IN ('full', 'strokes', 'diameter', 'circumference', 'turns')",
            "(inflation_kind IS NOT NULL AND inflation_kind IN ('strokes', 'turns')) = (inflation_strokes IS NOT NULL)",
            "void_reason IN ('no start', 'hit something', 'wheel off', 'balloon off', 'burst', 'pushed', 'band off', 'wheels spun')",
        );
    }

    public function down(): void
    {
        DB::statement("UPDATE runs SET inflation_kind = NULL, inflation_strokes = NULL WHERE inflation_kind = 'turns'");
        DB::statement("UPDATE runs SET void_reason = 'no start' WHERE void_reason IN ('band off', 'wheels spun')");
        $this->replace(
            "inflation_kind IN ('full', 'strokes', 'diameter', 'circumference')",
            "(inflation_kind = 'strokes') = (inflation_strokes IS NOT NULL)",
            "void_reason IN ('no start', 'hit something', 'wheel off', 'balloon off', 'burst', 'pushed')",
        );
    }

    /** The checks that stand on these columns go by names that PostgreSQL gave them: they are found by what they say. */
    private function replace(string $kinds, string $counted, string $reasons): void
    {
        foreach (DB::select("SELECT conname, pg_get_constraintdef(oid) AS says FROM pg_constraint WHERE conrelid = 'runs'::regclass AND contype = 'c'") as $check) {
            $says = (string) $check->says;
            $isOfKinds = str_contains($says, 'inflation_kind') && !str_contains($says, 'inflation_size') && (str_contains($says, "'full'") || str_contains($says, 'inflation_strokes'));
            if ($isOfKinds || str_contains($says, "'hit something'")) {
                DB::statement('ALTER TABLE runs DROP CONSTRAINT "' . $check->conname . '"');
            }
        }
        DB::statement("ALTER TABLE runs ADD CONSTRAINT runs_inflation_kind_check CHECK ({$kinds}), ADD CONSTRAINT runs_inflation_counted_check CHECK ({$counted}), ADD CONSTRAINT runs_void_reason_check CHECK ({$reasons})");
    }
};
