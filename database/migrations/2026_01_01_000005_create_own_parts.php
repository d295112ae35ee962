<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Parts that an educator adds to the catalogue for one challenge.
        Schema::create('own_parts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->string('name', 80);
            // SI, by the keys of PartKind::fields()
            $table->jsonb('values');
            $table->string('origin', 200);
            $table->timestampsTz();
        });
        DB::statement("ALTER TABLE own_parts ADD CHECK (kind IN ('balloon', 'nozzle', 'wheel', 'bearing', 'chassis', 'surface'))");
        DB::statement('CREATE UNIQUE INDEX own_parts_name_unique ON own_parts (challenge_id, kind, lower(name))');
    }

    public function down(): void
    {
        Schema::drop('own_parts');
    }
};
