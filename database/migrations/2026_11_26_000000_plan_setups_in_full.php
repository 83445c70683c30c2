<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\TriggerKind;

return new class () extends Migration {
    public function up(): void
    {
        Schema::table('setups', function (Blueprint $table): void {
            $table->json('legs')->default('[]');
            $table->json('stop_closes')->nullable();
            $table->string('cancel_side')->default('stop');
            $table->json('cancel_closes')->nullable();
            $table->json('conditions')->default('[]');
            $table->json('stop_moves')->default('[]');
            $table->unsignedInteger('time_stop')->nullable();
            $table->json('open_exit')->nullable();
        });
        foreach (DB::table('setups')->get() as $row) {
            /** @var object{id: int, trigger: string, entry: ?int, within: int, no_chase: int} $row */
            $leg = new DraftLeg(TriggerKind::from($row->trigger), $row->entry, $row->within, (bool) $row->no_chase);
            DB::table('setups')->where('id', $row->id)->update(['legs' => json_encode([$leg->toState()], JSON_THROW_ON_ERROR)]);
        }
        // what undo kept is of the old form
        DB::table('plan_changes')->delete();
        DB::table('plans')->update(['change_position' => 0]);
        Schema::table('setups', function (Blueprint $table): void {
            $table->dropColumn(['trigger', 'entry', 'within', 'no_chase']);
        });
    }

    public function down(): void
    {
        throw new \LogicException('The parts of an entry cannot be put back into one.');
    }
};
