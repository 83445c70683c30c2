<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::create('plans', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('author_id')->constrained('users');
            $table->string('session_date', 10);
            $table->string('bias', 400)->default('');
            $table->unsignedInteger('change_position')->default(0);
            $table->unsignedBigInteger('published_at')->nullable();
            $table->timestamps();
        });

        Schema::create('candidates', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plan_id')->constrained()->cascadeOnDelete();
            $table->foreignId('instrument_id')->constrained();
            $table->unsignedInteger('position');
            $table->string('state');
            $table->string('reason', 200)->default('');
            $table->string('readers');
            $table->unique(['plan_id', 'instrument_id']);
        });

        Schema::create('levels', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('author_id')->constrained('users');
            $table->foreignId('instrument_id')->constrained();
            $table->bigInteger('price');
            $table->string('origin', 60);
            $table->string('grade');
            $table->index(['author_id', 'instrument_id']);
        });

        // A setup while it is planned. Prices in units; what is null is not set yet.
        Schema::create('setups', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('candidate_id')->unique()->constrained()->cascadeOnDelete();
            $table->string('side');
            $table->string('trigger');
            $table->bigInteger('entry')->nullable();
            $table->bigInteger('within')->default(0);
            $table->boolean('no_chase')->default(false);
            $table->bigInteger('stop')->nullable();
            $table->bigInteger('cancel')->nullable();
            $table->json('targets');
            $table->unsignedInteger('good_for');
        });

        // Undo: what a change of a plan's draft replaced, and what it put there.
        Schema::create('plan_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plan_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('label');
            $table->foreignId('instrument_id')->nullable()->constrained();
            $table->json('before');
            $table->json('after');
            $table->unique(['plan_id', 'position']);
        });
    }

    public function down(): void
    {
        foreach (['plan_changes', 'setups', 'levels', 'candidates', 'plans'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
