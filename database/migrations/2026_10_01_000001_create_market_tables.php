<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::create('instruments', function (Blueprint $table): void {
            $table->id();
            $table->string('symbol')->unique();
            $table->string('name');
            $table->string('kind');
            $table->unsignedTinyInteger('decimals');
            $table->unsignedInteger('tick');
            $table->string('currency', 3);
            $table->string('group');
        });

        // Times are Unix seconds, prices units of the instrument's grid.
        Schema::create('bars', function (Blueprint $table): void {
            $table->unsignedBigInteger('instrument_id');
            $table->string('timeframe', 3);
            $table->unsignedBigInteger('starts_at');
            $table->unsignedBigInteger('ends_at');
            $table->string('session', 10);
            $table->bigInteger('open');
            $table->bigInteger('high');
            $table->bigInteger('low');
            $table->bigInteger('close');
            $table->unsignedBigInteger('volume');
            $table->primary(['instrument_id', 'timeframe', 'starts_at']);
            $table->foreign('instrument_id')->references('id')->on('instruments');
        });

        Schema::create('market_clock', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->unsignedBigInteger('now');
        });

        Schema::create('feed_cursors', function (Blueprint $table): void {
            $table->unsignedBigInteger('instrument_id')->primary();
            $table->string('session', 10)->nullable();
            $table->json('state');
            $table->foreign('instrument_id')->references('id')->on('instruments');
        });

        Schema::create('market_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained();
            $table->string('label');
            $table->unsignedBigInteger('until');
            $table->string('state');
            $table->unsignedInteger('steps_total')->default(0);
            $table->unsignedInteger('steps_done')->default(0);
            $table->string('message')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (['market_runs', 'feed_cursors', 'market_clock', 'bars', 'instruments'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
