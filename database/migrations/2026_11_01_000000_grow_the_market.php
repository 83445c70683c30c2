<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        // Hours are local times of the zone; weekdays 1 for Monday to 7 for Sunday.
        Schema::create('exchanges', function (Blueprint $table): void {
            $table->id();
            $table->string('code', 12)->unique();
            $table->string('name');
            $table->string('zone');
            $table->string('open', 5);
            $table->string('close', 5);
            $table->boolean('opens_day_before')->default(false);
            $table->json('weekdays');
            $table->string('extended_open', 5)->nullable();
            $table->string('extended_close', 5)->nullable();
            $table->json('holidays');
            $table->json('half_days');
        });

        Schema::table('instruments', function (Blueprint $table): void {
            $table->string('exchange', 12)->default('');
            $table->string('sector')->default('');
            $table->unsignedInteger('lot')->default(1);
            $table->string('point_value')->default('1');
            $table->unsignedInteger('pip')->nullable();
            $table->string('benchmark')->nullable();
            $table->string('listed_on', 10)->nullable();
            $table->string('tracks')->nullable();
            $table->integer('multiple')->nullable();
            $table->string('series')->nullable();
            $table->string('last_session', 10)->nullable();
            $table->json('labels')->default('[]');
        });

        // Bars of the extended hours are shown, and act on nothing.
        Schema::table('bars', function (Blueprint $table): void {
            $table->boolean('extended')->default(false);
        });

        Schema::create('splits', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('instrument_id')->constrained();
            $table->string('session', 10);
            $table->string('ratio');
            // when levels and drafts were brought to the new scale
            $table->unsignedBigInteger('applied_at')->nullable();
            $table->unique(['instrument_id', 'session']);
        });

        Schema::create('rolls', function (Blueprint $table): void {
            $table->foreignId('instrument_id')->constrained();
            $table->string('session', 10);
            $table->string('from');
            $table->string('to');
            $table->primary(['instrument_id', 'session']);
        });

        Schema::create('facts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('instrument_id')->constrained();
            $table->string('kind');
            $table->string('date', 10);
            $table->string('of', 12)->default('');
            $table->string('value');
            $table->string('source');
            $table->unique(['instrument_id', 'kind', 'date', 'of']);
        });

        Schema::create('market_events', function (Blueprint $table): void {
            $table->id();
            // the same event is stored once, however often it is told
            $table->string('key', 64)->unique();
            $table->foreignId('instrument_id')->nullable()->constrained();
            $table->string('date', 10)->index();
            $table->string('kind');
            $table->string('title');
            $table->string('side')->nullable();
            $table->string('time', 5)->nullable();
            $table->string('source');
            $table->unsignedBigInteger('announced_at')->default(0);
        });

        Schema::create('event_weights', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('author_id')->constrained('users');
            $table->foreignId('market_event_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('weight');
            $table->string('note', 200)->default('');
            $table->unique(['author_id', 'market_event_id']);
        });

        Schema::create('author_settings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('author_id')->constrained('users');
            $table->string('name');
            $table->json('value');
            $table->unique(['author_id', 'name']);
        });

        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->string('kind');
            $table->string('file_name');
            $table->string('path');
            $table->json('mapping');
            $table->string('state');
            $table->unsignedInteger('lines_total')->default(0);
            $table->unsignedInteger('lines_done')->default(0);
            $table->unsignedInteger('added')->default(0);
            $table->unsignedInteger('unchanged')->default(0);
            $table->unsignedInteger('corrected')->default(0);
            $table->unsignedInteger('held_back')->default(0);
            $table->unsignedInteger('fault_count')->default(0);
            $table->json('faults');
            $table->string('message', 500)->nullable();
            $table->timestamps();
        });

        // A bar told again with other figures. Held back: a published setup was judged on the old figures, which stay.
        Schema::create('bar_corrections', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('instrument_id')->constrained();
            $table->foreignId('import_id')->nullable()->constrained();
            $table->string('timeframe', 3);
            $table->unsignedBigInteger('starts_at');
            $table->string('session', 10);
            $table->json('was');
            $table->json('is');
            $table->boolean('held_back');
            $table->unsignedBigInteger('noticed_at');
            $table->index(['instrument_id', 'timeframe', 'starts_at']);
        });
    }

    public function down(): void
    {
        foreach (['bar_corrections', 'imports', 'author_settings', 'event_weights', 'market_events', 'facts', 'rolls', 'splits'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('bars', fn (Blueprint $table) => $table->dropColumn('extended'));
        Schema::table('instruments', fn (Blueprint $table) => $table->dropColumn(['exchange', 'sector', 'lot', 'point_value', 'pip', 'benchmark', 'listed_on', 'tracks', 'multiple', 'series', 'last_session', 'labels']));
        Schema::dropIfExists('exchanges');
    }
};
