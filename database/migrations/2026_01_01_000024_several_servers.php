<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What several servers have to know in common: used where CACHE_STORE=database says so. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('cache', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->text('value');
            $table->integer('expiration')->index();
        });
        Schema::create('cache_locks', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration')->index();
        });
        // Worth nothing after a crash: what is in it is worked out anew, and sessions begin again.
        DB::statement('ALTER TABLE cache_locks SET UNLOGGED');
    }

    public function down(): void
    {
        Schema::drop('cache_locks');
        Schema::drop('cache');
    }
};
