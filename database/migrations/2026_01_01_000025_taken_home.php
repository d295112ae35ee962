<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A car that goes home with its group: a link that ends, and what comes in by it, which waits for the educator's yes. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('home_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('group_id')->index()->constrained()->cascadeOnDelete();
            $table->string('token_hash', 64)->unique();
            $table->timestampTz('created_at', 3);
            $table->timestampTz('ends_at');
            $table->timestampTz('revoked_at')->nullable();
        });
        Schema::create('home_items', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('home_link_id')->index()->constrained()->cascadeOnDelete();
            $table->string('kind', 10);
            // as typed, by field
            $table->jsonb('payload');
            $table->binary('jpeg')->nullable();
            $table->timestampTz('made_at', 3);
            $table->timestampTz('accepted_at', 3)->nullable();
            $table->timestampTz('refused_at', 3)->nullable();
        });
        DB::statement("ALTER TABLE home_items ADD CHECK (kind IN ('run', 'note', 'photo')), ADD CHECK ((kind = 'photo') = (jpeg IS NOT NULL)), ADD CHECK (accepted_at IS NULL OR refused_at IS NULL)");
    }

    public function down(): void
    {
        Schema::drop('home_items');
        Schema::drop('home_links');
    }
};
