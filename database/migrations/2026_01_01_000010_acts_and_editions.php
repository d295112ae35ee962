<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Everything done at the lane, in the order in which it was done: by number, since clocks are set.
        Schema::create('acts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->constrained()->cascadeOnDelete();
            $table->foreignId('group_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('run_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('device_id')->nullable()->index()->constrained()->nullOnDelete();
            // which browser of an educator who is signed in on several; a digest that opens nothing
            $table->string('seat', 32)->nullable();
            $table->string('kind', 20);
            $table->jsonb('before');
            $table->jsonb('after');
            $table->timestampTz('made_at', 3);
            $table->index(['challenge_id', 'id']);
        });
        DB::statement("ALTER TABLE acts ADD CHECK (kind IN ('logged', 'edited', 'undone', 'restored', 'ordered')), ADD CHECK ((kind = 'ordered') = (run_id IS NULL))");
        DB::statement(<<<'SQL'
            INSERT INTO acts (challenge_id, group_id, run_id, user_id, device_id, kind, before, after, made_at)
                SELECT groups.challenge_id, groups.id, each.run_id, each.user_id, each.device_id, each.kind, each.before, each.after, each.made_at
                FROM (SELECT run_id, user_id, device_id, kind, before, after, made_at FROM run_changes
                    UNION ALL SELECT id, NULL, NULL, 'logged', '{}', '{}', logged_at FROM runs) AS each
                JOIN runs ON runs.id = each.run_id JOIN cars ON cars.id = runs.car_id JOIN groups ON groups.id = cars.group_id
                ORDER BY each.made_at, each.run_id
            SQL);
        Schema::drop('run_changes');

        // Go up with every change, so that two who fill in the same sheet or card notice each other.
        Schema::table('cars', function (Blueprint $table): void {
            $table->integer('edition')->default(1);
            $table->integer('card_edition')->default(1);
            // A cap is wide at its rim and thin at its hub, and its hollow faces one way.
            $table->double('wheel_hub_m')->nullable();
            $table->string('wheel_hub_entered', 60)->nullable();
            $table->string('wheel_hollow', 20)->nullable();
        });
        DB::statement("ALTER TABLE cars ADD CHECK (wheel_hub_m > 0), ADD CHECK ((wheel_hub_m IS NULL) = (wheel_hub_entered IS NULL)), ADD CHECK (wheel_hollow IN ('outwards', 'inwards'))");
        // The floor was varied with the mass; now each is for itself.
        DB::statement("UPDATE challenges SET free_steps = free_steps || '[\"floor\"]'::jsonb WHERE free_steps @> '[\"mass\"]'::jsonb");
    }

    public function down(): void
    {
        Schema::table('cars', static fn(Blueprint $table) => $table->dropColumn(['edition', 'card_edition', 'wheel_hub_m', 'wheel_hub_entered', 'wheel_hollow']));
        Schema::create('run_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('run_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('device_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('kind', 20);
            $table->jsonb('before');
            $table->jsonb('after');
            $table->timestampTz('made_at', 3);
        });
        DB::statement("INSERT INTO run_changes (run_id, user_id, device_id, kind, before, after, made_at) SELECT run_id, user_id, device_id, kind, before, after, made_at FROM acts WHERE kind IN ('edited', 'undone', 'restored') ORDER BY id");
        Schema::drop('acts');
    }
};
