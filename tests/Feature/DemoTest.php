<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Models\Edition;
use App\Models\Instrument;
use App\Models\Outcome;
use App\Models\Plan;
use App\Publishing\EditionReader;
use App\Support\TypeScriptWriter;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;
use Watchpost\Core\Market\Instant;

/** The demo as bin/demo makes it. */
final class DemoTest extends TestCase
{
    use RefreshDatabase;

    public function testTheDemoIsATwoYearMarketAnEditionAndADraft(): void
    {
        $this->artisan('watchpost:demo')->assertSuccessful();

        self::assertGreaterThanOrEqual(12, Instrument::query()->count());
        self::assertSame('2026-10-14T18:00:00Z', Instant::format(app(MarketClock::class)->moment()));
        self::assertSame(0, DB::table('bars')->where('ends_at', '>', app(MarketClock::class)->moment())->count());

        $days = DB::table('bars')->where(['instrument_id' => 1, 'timeframe' => '1d']);
        self::assertSame(['2024-10-14', '2026-10-14'], [(clone $days)->min('session'), (clone $days)->max('session')]);
        self::assertFalse((clone $days)->where('session', '2025-12-25')->exists());
        $half = (clone $days)->where('session', '2025-12-24')->first(['starts_at', 'ends_at']);
        self::assertSame(210 * 60, ($half->ends_at ?? 0) - ($half->starts_at ?? 0));
        $fine = DB::table('bars')->where(['instrument_id' => 1, 'timeframe' => '5m']);
        self::assertSame([20, 20 * 78], [(clone $fine)->distinct()->count('session'), (clone $fine)->count()]);

        $edition = Edition::query()->sole();
        self::assertLessThan('2026-10-07T08:30:00Z', app(EditionReader::class)->document($edition)['published_at']);
        self::assertGreaterThanOrEqual(3, Outcome::query()->distinct()->count('status'));
        self::assertSame('2026-10-15', Plan::query()->whereNull('published_at')->sole()->session_date);
    }

    public function testASecondRunKeepsTheData(): void
    {
        $this->artisan('watchpost:demo');
        $before = DB::table('bars')->count();
        $this->artisan('watchpost:demo')->expectsOutputToContain('is there and kept')->assertSuccessful();

        self::assertSame([$before, 1], [DB::table('bars')->count(), Edition::query()->count()]);
    }

    public function testTimesAreToldInTheExchangesTimeWithUtcBesideIt(): void
    {
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
