<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        // What the author said or changed after publishing: added once, in order, never changed. The original stays.
        Schema::create('updates', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('published_setup_id')->constrained();
            $table->foreignId('author_id')->constrained('users');
            $table->unsignedBigInteger('at');
            $table->string('kind');
            // as typed, on the scale of the day
            $table->string('price', 30)->nullable();
            $table->unsignedInteger('number')->nullable();
            $table->string('share', 12)->nullable();
            $table->string('text', 400)->default('');
            $table->string('refused_because')->nullable();
            $table->index(['published_setup_id', 'at']);
        });

        // Each setup is followed as published, and once there is an update, as managed beside it.
        Schema::table('outcomes', function (Blueprint $table): void {
            $table->dropUnique(['published_setup_id']);
            $table->boolean('is_managed')->default(false);
            $table->unique(['published_setup_id', 'is_managed']);
        });

        // What the author thinks of a published setup in hindsight: the reason apart from the result.
        Schema::create('reviews', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('published_setup_id')->unique()->constrained();
            $table->string('reason')->nullable();
            $table->string('result')->nullable();
            $table->string('note', 400)->default('');
            $table->boolean('is_let_go')->default(false);
            $table->timestamps();
        });

        // A candidate that takes up something published before, and how.
        Schema::table('candidates', function (Blueprint $table): void {
            $table->foreignId('carried_id')->nullable()->constrained('published_setups');
            $table->string('relation')->nullable();
        });
        // what undo kept lacks the new columns
        DB::table('plan_changes')->delete();
        DB::table('plans')->update(['change_position' => 0]);
    }

    public function down(): void
    {
        Schema::table('candidates', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('carried_id');
            $table->dropColumn('relation');
        });
        Schema::dropIfExists('reviews');
        DB::table('outcomes')->where('is_managed', true)->delete();
        Schema::table('outcomes', function (Blueprint $table): void {
            $table->dropUnique(['published_setup_id', 'is_managed']);
            $table->dropColumn('is_managed');
            $table->unique(['published_setup_id']);
        });
        Schema::dropIfExists('updates');
    }
};
