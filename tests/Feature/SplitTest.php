<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Market\BarRepository;
use App\Market\MarketAdvance;
use App\Market\ReferenceStore;
use App\Models\Level;
use App\Models\Outcome;
use App\Models\Setup;
use App\Models\Split;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Market\Split as CoreSplit;

/** A split of 4 for 1 takes effect on 22 November 2024, two sessions after the evening of the world. */
final class SplitTest extends TestCase
{
    use World;

    private const SESSION = '2024-11-22';

    protected function setUp(): void
    {
        parent::setUp();
        app(ReferenceStore::class)->splits($this->instrument('TARN.Q'), [CoreSplit::of(self::SESSION, '4')]);
    }

    public function testNothingChangesBeforeItsSessionOpens(): void
    {
        $close = $this->close();
        app(MarketAdvance::class)->to((int) strtotime('2024-11-22T09:00:00Z'));

        self::assertNull(Split::query()->where('session', self::SESSION)->sole()->applied_at);
        self::assertEqualsWithDelta($close, $this->close(), 0.1 * $close);
    }

    public function testEarlierBarsLevelsAndDraftsAreBroughtToTheNewScale(): void
    {
        $before = $this->planned('TARN.Q');
        $this->actingAs($this->author)->postJson("/plan/mark/{$before->id}/levels", ['price' => '48.00']);
        $setup = Setup::query()->sole();
        $close = $this->close();
        $this->split();

        $after = Setup::query()->sole();
        self::assertSame(1_200, Level::query()->sole()->price);
        self::assertEqualsWithDelta([$setup->legs[0]['price'] / 4, $setup->stop / 4, $setup->targets[0]['price'] / 4], [$after->legs[0]['price'], $after->stop, $after->targets[0]['price']], 0.5);
        self::assertEqualsWithDelta($close / 4, app(BarRepository::class)->days($this->instrument('TARN.Q'), 9)->close[6], 0.5, 'the close of the 20th, adjusted');
        self::assertSame($close, DB::table('bars')->where(['instrument_id' => $this->instrument('TARN.Q')->id, 'session' => '2024-11-20', 'timeframe' => '1d'])->value('close'), 'stored as it was traded');
        $this->postJson('/plan/undo')->assertJson(['message' => null], false);
        $this->get("/plan/mark/{$before->id}")->assertInertia(fn ($page) => $page->where('chart.marks', fn ($marks): bool => self::items($marks)->contains(fn (array $mark): bool => $mark['kind'] === 'split' && str_contains($mark['label'], '4 for 1'))));
    }

    public function testAnOpenSetupGoesThroughItAndItsPublishedPricesStay(): void
    {
        $this->planned('TARN.Q', entry: 0.0, stop: -0.4, target: 0.9);
        $edition = $this->publish();
        $document = $edition->document;
        $this->split();

        $outcome = Outcome::query()->sole();
        self::assertSame('open', $outcome->status->value);
        self::assertSame($document, $edition->refresh()->document);
        $this->actingAs($this->author)->get('/editions/1')->assertInertia(fn ($page) => $page
            ->where('edition.parts.0.units', 4)
            ->where('edition.parts.0.splitNote', fn (string $note): bool => str_starts_with($note, 'Split 4 for 1 on Friday 22 November 2024: entry '))
            ->where('edition.parts.0.setups.0.followed.outcome.r', fn (string $r): bool => abs((float) $r) < 0.6)
            ->where('edition.parts.0.setups.0.followed.outcome.remarks.0', fn (string $remark): bool => str_contains($remark, 'R does not change')));
    }

    private function split(): void
    {
        // the made-up market knows nothing of this split: its bars from that session on are divided here
        app(MarketAdvance::class)->to((int) strtotime('2024-11-21T18:00:00Z'));
        $id = $this->instrument('TARN.Q')->id;
        DB::statement("create trigger split_bars after insert on bars when new.instrument_id = {$id} and new.session >= '".self::SESSION."' begin
            update bars set open = new.open / 4, high = new.high / 4, low = new.low / 4, close = new.close / 4
            where instrument_id = new.instrument_id and timeframe = new.timeframe and starts_at = new.starts_at; end");
        $this->actingAs($this->author)->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 1])->assertCreated();
    }

    private function close(): int
    {
        return app(BarRepository::class)->lastClose($this->instrument('TARN.Q')) ?? 0;
    }
}
