<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Enums\PlanKind;
use App\Models\Edition;
use App\Models\Exchange;
use App\Models\Instrument;
use App\Models\Outcome;
use App\Models\Plan;
use App\Publishing\EditionReader;
use App\Publishing\Evidence;
use App\Support\TypeScriptWriter;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Validator;
use Tests\TestCase;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Verification\BarFile;
use Watchpost\Core\Verification\Finding;
use Watchpost\Core\Verification\Verifier;
use Watchpost\Simulator\QuayExchange;

/** The demo as bin/demo makes it. */
final class DemoTest extends TestCase
{
    use RefreshDatabase;

    /** The history is cut to a year here; bin/bench makes the whole. */
    public function testTheDemoIsAMarketWithItsHistoryAnEditionAndADraft(): void
    {
        $this->artisan('watchpost:demo')->assertSuccessful();

        $now = app(MarketClock::class)->moment();
        self::assertGreaterThanOrEqual(60, Instrument::query()->count());
        self::assertSame('2026-10-14T18:00:00Z', Instant::format($now));
        self::assertSame(0, DB::table('bars')->where('ends_at', '>', $now)->count());

        $nord = Instrument::query()->where('symbol', 'NORD.Q')->firstOrFail()->id;
        $days = DB::table('bars')->where(['instrument_id' => $nord, 'timeframe' => '1d']);
        self::assertSame(['2025-10-14', '2026-10-14'], [(clone $days)->min('session'), (clone $days)->max('session')]);
        self::assertFalse((clone $days)->where('session', '2025-12-25')->exists());
        $half = (clone $days)->where('session', '2025-12-24')->first(['starts_at', 'ends_at']);
        self::assertSame(210 * 60, ($half->ends_at ?? 0) - ($half->starts_at ?? 0));
        $fine = DB::table('bars')->where(['instrument_id' => $nord, 'timeframe' => '5m', 'extended' => false]);
        self::assertSame([60, 60 * 78], [(clone $fine)->distinct()->count('session'), (clone $fine)->count()]);
        $young = Instrument::query()->where('symbol', 'DORY.Q')->firstOrFail()->id;
        self::assertSame(30, DB::table('bars')->where(['instrument_id' => $young, 'timeframe' => '1d'])->count());

        // thirty evenings, the one that shows everything, a week of twenty and a day of six: each sealed before its first bar
        self::assertSame([33, 1], [Edition::query()->count(), Edition::query()->where('kind', PlanKind::Weekly)->count()]);
        self::assertSame([13, 20, 6], array_map(static fn (int $number): int => Edition::query()->where('number', $number)->sole()->publishedSetups()->count(), [31, 32, 33]));
        $schema = new Validator();
        $says = (string) file_get_contents(base_path('docs/edition.schema.json'));
        $before = null;
        foreach (Edition::query()->orderBy('number')->get() as $edition) {
            $document = app(EditionReader::class)->document($edition);
            self::assertLessThan($document['session']['open'], $document['published_at']);
            self::assertSame($before, $document['previous_seal']);
            self::assertTrue($schema->validate(json_decode($edition->document), $says)->isValid(), "edition {$edition->number} is not as its schema says");
            $before = $edition->seal;
        }
        self::assertGreaterThanOrEqual(5, Outcome::query()->distinct()->count('status'));
        self::assertSame('2026-10-15', Plan::query()->whereNull('published_at')->sole()->session_date);
        $verifier = new Verifier();
        $newest = Edition::query()->where('number', 33)->sole();
        $bars = fopen('php://memory', 'w+');
        self::assertIsResource($bars);
        foreach (app(Evidence::class)->bars($newest) as $line) {
            fputcsv($bars, $line, escape: '');
        }
        rewind($bars);
        /** @var array<string, mixed> $evidence */
        $evidence = json_decode((string) json_encode(app(Evidence::class)->of($newest)), true);
        self::assertSame([], array_filter($verifier->verify($evidence, BarFile::read($bars)), static fn (Finding $finding): bool => ! $finding->isAsClaimed));

        // again: nothing is made twice
        $before = DB::table('bars')->count();
        $this->artisan('watchpost:demo')->expectsOutputToContain('is there and kept')->assertSuccessful();
        self::assertSame([$before, 33], [DB::table('bars')->count(), Edition::query()->count()]);

        // a demo made by an earlier version has no exchanges
        DB::table('exchanges')->delete();
        $this->artisan('watchpost:demo')->expectsOutputToContain('bin/demo --fresh')->assertFailed();
    }

    public function testTimesAreToldInTheExchangesTimeWithUtcBesideIt(): void
    {
        Exchange::list(QuayExchange::calendar());
        $times = app(TimeLabel::class);

        self::assertSame('Wed 14 Oct 2026, 19:00 Quay time (18:00 UTC)', $times->full((int) strtotime('2026-10-14T18:00:00Z')));
        self::assertSame('Mon 2 Nov 2026, 18:00 Quay time (18:00 UTC)', $times->full((int) strtotime('2026-11-02T18:00:00Z')));
        self::assertSame('09:30 Quay time (08:30 UTC)', $times->opening('2026-10-15'));
        self::assertSame('09:30 Quay time (09:30 UTC), half day', $times->opening('2026-12-24'));
        self::assertSame('closed', $times->opening('2026-12-25'));
    }

    public function testTheSharedTypesAreWrittenFromTheTransferObjects(): void
    {
        $types = (new TypeScriptWriter())->write(app_path('Data'));

        self::assertStringContainsString("export type Side = 'long' | 'short';", $types);
        self::assertStringContainsString("export interface TargetData {\n    price: string;\n    share: string;\n    r: string | null;\n}", $types);
        self::assertStringContainsString('values: (number | null)[];', $types);
        self::assertStringContainsString('averages: AverageLineData[];', $types);
    }
}
