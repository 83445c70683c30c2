<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::table('published_setups', function (Blueprint $table): void {
            // from when on its events are told; those published before this was there tell nothing
            $table->unsignedBigInteger('armed_at')->nullable();
        });
        Schema::create('alerts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('published_setup_id')->constrained()->cascadeOnDelete();
            // which of the setup's events, from 0
            $table->unsignedInteger('number');
            $table->unsignedBigInteger('at');
            $table->string('kind');
            $table->string('what');
            $table->timestamps();
            $table->unique(['published_setup_id', 'number']);
        });
        Schema::table('users', static fn (Blueprint $table) => $table->boolean('mails_alerts')->default(true));
    }

    public function down(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('mails_alerts'));
        Schema::dropIfExists('alerts');
        Schema::table('published_setups', static fn (Blueprint $table) => $table->dropColumn('armed_at'));
    }
};
