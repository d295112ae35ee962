<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Several educators on a challenge, a school of them, and where each is signed in. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('members', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('role', 20);
            $table->timestampTz('joined_at', 3);
            $table->unique(['challenge_id', 'user_id']);
        });
        DB::statement("ALTER TABLE members ADD CHECK (role IN ('co-teacher', 'observer'))");
        Schema::create('schools', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->timestampTz('created_at', 3);
        });
        Schema::create('school_members', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            // who invites to the school, and takes educators out of it
            $table->boolean('is_head')->default(false);
            $table->timestampTz('joined_at', 3);
            $table->unique(['school_id', 'user_id']);
        });
        // A challenge's plan and parts, for everyone of a school to set theirs like it.
        Schema::create('school_plans', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('challenge_id')->index()->constrained()->cascadeOnDelete();
            $table->timestampTz('shared_at', 3);
            $table->unique(['school_id', 'challenge_id']);
        });
        Schema::create('invitations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('challenge_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignId('school_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('role', 20)->nullable();
            $table->string('token_hash', 64)->unique();
            $table->timestampTz('created_at', 3);
            $table->timestampTz('expires_at');
            $table->timestampTz('revoked_at')->nullable();
        });
        DB::statement("ALTER TABLE invitations ADD CHECK ((challenge_id IS NULL) <> (school_id IS NULL)), ADD CHECK ((role IS NULL) = (challenge_id IS NULL)), ADD CHECK (role IN ('co-teacher', 'observer'))");
        Schema::create('sign_ins', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('browser', 80);
            $table->timestampTz('created_at', 3);
            $table->timestampTz('seen_at', 3);
            $table->timestampTz('ended_at', 3)->nullable();
        });
        // What an educator did in a colleague's challenge stays there when their account is deleted.
        $this->onDeleteOfAnAccount('SET NULL');
    }

    public function down(): void
    {
        $this->onDeleteOfAnAccount('CASCADE');
        foreach (['sign_ins', 'invitations', 'school_plans', 'school_members', 'schools', 'members'] as $table) {
            Schema::drop($table);
        }
    }

    private function onDeleteOfAnAccount(string $does): void
    {
        $keys = DB::select(<<<'SQL'
            SELECT conrelid::regclass::text AS of, conname AS name FROM pg_constraint JOIN pg_attribute ON attrelid = conrelid AND attnum = conkey[1]
            WHERE contype = 'f' AND confrelid = 'users'::regclass AND NOT attnotnull
            SQL);
        foreach ($keys as $key) {
            DB::statement("ALTER TABLE {$key->of} DROP CONSTRAINT \"{$key->name}\", ADD CONSTRAINT \"{$key->name}\" FOREIGN KEY (user_id) REFERENCES users (id) ON DELETE {$does}");
        }
    }
};
