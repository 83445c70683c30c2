<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        // The document is the edition; every other column is an index to it.
        Schema::create('editions', function (Blueprint $table): void {
            $table->id();
            $table->unsignedInteger('number')->unique();
            $table->foreignId('plan_id')->unique()->constrained();
            $table->foreignId('author_id')->constrained('users');
            $table->string('session_date', 10);
            $table->unsignedBigInteger('published_at');
            $table->string('previous_seal', 64)->nullable();
            $table->string('seal', 64)->unique();
            $table->longText('document');
        });

        Schema::create('published_setups', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('edition_id')->constrained();
            $table->foreignId('instrument_id')->constrained();
            $table->string('key');
            $table->string('readers');
            $table->unique(['edition_id', 'key']);
        });

        Schema::create('outcomes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('published_setup_id')->unique()->constrained();
            $table->string('status');
            // nothing waits and nothing is held: later bars change nothing
            $table->boolean('is_over')->index();
            $table->unsignedBigInteger('as_of');
            $table->json('run');
        });
    }

    public function down(): void
    {
        foreach (['outcomes', 'published_setups', 'editions'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
