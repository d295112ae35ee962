<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Tokens by which an educator's own programs read; and who looks after the machine. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('api_tokens', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('token_hash', 64)->unique();
            $table->jsonb('scopes');
            $table->timestampTz('created_at', 3);
            $table->timestampTz('used_at', 3)->nullable();
            $table->timestampTz('expires_at')->nullable();
            $table->timestampTz('revoked_at')->nullable();
        });
        Schema::table('users', static fn(Blueprint $table) => $table->boolean('is_administrator')->default(false));
    }

    public function down(): void
    {
        Schema::table('users', static fn(Blueprint $table) => $table->dropColumn('is_administrator'));
        Schema::drop('api_tokens');
    }
};
