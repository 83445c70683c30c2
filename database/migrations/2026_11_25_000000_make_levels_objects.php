<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        // A level lives across plans. `price` is where it stood when it was marked or moved; what moves is told by `terms`.
        Schema::table('levels', function (Blueprint $table): void {
            $table->string('origin', 120)->change();
            $table->string('form')->default('price');
            $table->bigInteger('low')->nullable();
            $table->bigInteger('high')->nullable();
            $table->json('terms')->nullable();
            $table->string('time_frame')->default('1d');
            $table->string('note', 400)->default('');
            // the last session with a bar when it was marked: what came later, came after it
            $table->string('marked_on', 10)->default('');
            $table->unsignedBigInteger('marked_at')->default(0);
            $table->unsignedBigInteger('retired_at')->nullable();
            $table->string('retired_because', 120)->default('');
            // restored by the author: it does not retire by itself again
            $table->boolean('kept')->default(false);
        });

        // The history of a level outlives it: no foreign key.
        Schema::create('level_changes', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('level_id')->index();
            $table->unsignedBigInteger('at');
            $table->string('by', 120);
            $table->string('what', 300);
        });

        Schema::table('candidates', function (Blueprint $table): void {
            $table->string('shape', 60)->default('');
            $table->unsignedTinyInteger('cleanness')->nullable();
            $table->string('speaks_for', 600)->default('');
            $table->string('speaks_against', 600)->default('');
        });

        // How an author left the chart of an instrument.
        Schema::create('chart_views', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('author_id')->constrained('users');
            $table->foreignId('instrument_id')->constrained();
            $table->json('value');
            $table->unique(['author_id', 'instrument_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('chart_views');
        Schema::table('candidates', fn (Blueprint $table) => $table->dropColumn(['shape', 'cleanness', 'speaks_for', 'speaks_against']));
        Schema::dropIfExists('level_changes');
        Schema::table('levels', fn (Blueprint $table) => $table->dropColumn(['form', 'low', 'high', 'terms', 'time_frame', 'note', 'marked_on', 'marked_at', 'retired_at', 'retired_because', 'kept']));
    }
};
