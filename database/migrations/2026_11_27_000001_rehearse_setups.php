<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        // By plan and instrument, not by candidate: undo takes candidates away and brings them back.
        Schema::create('rehearsals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('author_id')->constrained('users');
            $table->foreignId('plan_id')->constrained()->cascadeOnDelete();
            $table->foreignId('instrument_id')->constrained();
            $table->string('scope');
            $table->unsignedInteger('sessions');
            $table->json('rule');
            $table->string('state');
            $table->unsignedInteger('steps_total')->default(0);
            $table->unsignedInteger('steps_done')->default(0);
            $table->string('message')->nullable();
            $table->json('cases')->default('[]');
            $table->unsignedBigInteger('as_of');
            $table->timestamps();
            $table->index(['plan_id', 'instrument_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('rehearsals');
    }
};
