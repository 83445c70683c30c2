<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\BeginImport;
use App\Actions\CancelImport;
use App\Actions\StartImport;
use App\Enums\ImportKind;
use App\Enums\ImportState;
use App\Feeds\FolderFeed;
use App\Import\Exporter;
use App\Import\Importer;
use App\Import\ImportRun;
use App\Import\Mapping;
use App\Import\UnreadableFile;
use App\Market\BarRepository;
use App\Market\MarketAdvance;
use App\Models\BarCorrection;
use App\Models\Import;
use App\Models\Instrument;
use App\Models\MarketEvent;
use App\Models\Outcome;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Validation\ValidationException;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Reader;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\TimeFrame;

final class ImportTest extends TestCase
{
    use World;

    private const NEW_NAME = "symbol,name,kind,decimals,tick,currency,group,labels\nLARK.Q,Larkspur Mills,share,2,0.01,QUD,Retail,thin|new\n";

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function manners(): iterable
    {
        yield 'plain' => ["date,open,high,low,close,volume\n2024-11-18,10.00,10.50,9.90,10.20,500\n2024-11-19,10.2,10.4,10,10.1,600\n", ['delimiter' => ',', 'dates' => 'Y-m-d', 'timeFrame' => '1d', 'decimal' => '.']];
        yield 'semicolons, decimal commas, days first, a mark at the beginning' => ["\xEF\xBB\xBFDatum;Open;High;Low;Close;Vol\n18.11.2024;10,00;10,50;9,90;10,20;500\n19.11.2024;10,2;10,4;10,0;10,1;600\n", ['delimiter' => ';', 'dates' => 'd.m.Y', 'decimal' => ',']];
        yield 'tabs and other names' => ["Session\to\th\tl\tLast\n20241118\t10.00\t10.50\t9.90\t10.20\n20241119\t10.2\t10.4\t10\t10.1\n", ['delimiter' => "\t", 'dates' => 'Ymd']];
        yield 'no names' => ["2024-11-18,10.00,10.50,9.90,10.20,500\n2024-11-19,10.2,10.4,10,10.1,600\n", ['header' => false]];
        yield 'columns in another order, with quotes' => ["\"Close\",\"Low\",\"High\",\"Open\",\"Date\"\n\"10.20\",\"9.90\",\"10.50\",\"10.00\",\"11/18/2024\"\n\"10.1\",\"10\",\"10.4\",\"10.2\",\"11/19/2024\"\n", ['dates' => 'm/d/Y']];
    }

    /** @param array<string, mixed> $expected */
    #[DataProvider('manners')]
    public function testTheMannerOfAFileIsRecognised(string $text, array $expected): void
    {
        $this->import(ImportKind::Instruments, self::NEW_NAME);
        $import = $this->begin(ImportKind::Bars, $text);
        foreach ($expected as $key => $value) {
            self::assertSame($value, $import->mapping[$key], $key);
        }
        $this->carryOut($import, ['symbol' => 'LARK.Q']);

        self::assertSame([ImportState::Done, 2], [$import->state, $import->added], (string) json_encode($import->faults));
        $days = app(BarRepository::class)->days($this->instrument('LARK.Q'), 5);
        self::assertSame([['2024-11-18', '2024-11-19'], [1000, 1020], [1050, 1040], [990, 1000], [1020, 1010]], [$days->session, $days->open, $days->high, $days->low, $days->close]);
    }

    public function testTimesAreReadInTheirZoneAndCountedInSessions(): void
    {
        $this->import(ImportKind::Instruments, self::NEW_NAME);
        $import = $this->import(ImportKind::Bars, "symbol,date,time,open,high,low,close\nLARK.Q,2024-11-20,04:30,10,10.5,9.9,10.2\nLARK.Q,2024-11-20,10:55,10,10.5,9.9,10.2\nLARK.Q,2024-11-20,11:00,10,10.5,9.9,10.2\nLARK.Q,2024-11-20,03:30,10,10.5,9.9,10.2\n", ['zone' => 'America/New_York', 'dates' => 'Y-m-d H:i', 'timeFrame' => '5m']);

        self::assertSame([ImportState::Done, 4], [$import->state, $import->added], (string) json_encode($import->faults));
        $bars = DB::table('bars')->where('instrument_id', $this->instrument('LARK.Q')->id)->orderBy('starts_at')->get();
        self::assertSame(['08:30', '09:30', '15:55', '16:00'], $bars->map(fn ($bar): string => gmdate('H:i', $bar->starts_at))->all());
        self::assertSame([1, 0, 0, 1], $bars->map(fn ($bar): int => (int) $bar->extended)->all(), 'before the open and after the close');
        self::assertCount(2, app(BarRepository::class)->from($this->instrument('LARK.Q'), TimeFrame::FiveMinutes, 0), 'no setup sees the extended hours');
    }

    public function testEachBadLineIsNamedAndNothingIsImported(): void
    {
        $before = DB::table('bars')->count();
        $import = $this->import(ImportKind::Bars, implode("\n", [
            'symbol,date,open,high,low,close,volume,change',
            'OAKL.Q,2024-10-01,58.00,59.00,57.00,58.50,100,',
            'OAKL.Q,2024-10-02,58.50,58.00,59.00,58.50,100,',
            'OAKL.Q,2024-10-03,58.001,59.00,57.00,58.50,100,',
            'OAKL.Q,2024-10-05,58.00,59.00,57.00,58.50,100,',
            'NONE.Q,2024-10-04,58.00,59.00,57.00,58.50,100,',
            'OAKL.Q,2024-10-04,58.00,59.00,57.00,60.00,100,',
            'OAKL.Q,04/10/2024,58.00,59.00,57.00,58.50,100,',
            'OAKL.Q,2024-10-01,58.00,59.00,57.00,58.50,100,',
            'OAKL.Q,2024-10-07,58.00,59.00,57.00,58.50,-3,',
            'OAKL.Q,2024-10-08,0,59.00,0,58.50,1,',
            'OAKL.Q,2024-10-09,,59.00,57.00,58.50,1,',
            'OAKL.Q,2024-10-10,58.00,59.00,57.00,57.53,100,-0.87',
        ])."\n");

        self::assertSame(ImportState::Refused, $import->state);
        self::assertSame($before, DB::table('bars')->count());
        self::assertSame([
            [3, 'high'], [4, 'open'], [5, 'date'], [6, 'symbol'], [7, 'close'], [8, 'date'], [9, 'date'], [10, 'volume'], [11, 'open'], [12, 'open'], [13, 'change'],
        ], array_map(static fn (array $fault): array => [$fault['line'], $fault['field']], $import->faults));
        $reasons = array_column($import->faults, 'reason', 'line');
        self::assertStringContainsString('at most 2 decimals', $reasons[4]);
        self::assertStringContainsString('no session on 2024-10-05', $reasons[5]);
        self::assertStringContainsString('stands on line 2 already', $reasons[9]);
        self::assertStringContainsString('differ by -0.97', $reasons[13], 'T47: a change is computed, never taken over');
        self::assertSame('11 lines cannot be read. Nothing was imported.', $import->message);
    }

    public function testImportingAgainChangesNothing(): void
    {
        $text = "symbol,date,open,high,low,close,volume\nOAKL.Q,2024-10-01,58.00,59.00,57.00,58.50,100\nOAKL.Q,2024-10-02,58.00,59.00,57.00,58.50,100\n";
        self::assertSame(2, $this->import(ImportKind::Bars, $text)->added);
        $again = $this->import(ImportKind::Bars, $text);
        self::assertSame([0, 2, 0], [$again->added, $again->unchanged, $again->corrected]);
        self::assertSame([1, 0], [$this->import(ImportKind::Instruments, self::NEW_NAME)->added, $this->import(ImportKind::Instruments, self::NEW_NAME)->added]);
    }

    public function testABarThatNobodyUsedIsCorrectedAndTheCorrectionKept(): void
    {
        $import = $this->import(ImportKind::Bars, $this->altered('OAKL.Q', '2024-11-20', TimeFrame::Day));

        self::assertSame([0, 1, 0], [$import->added, $import->corrected, $import->held_back]);
        $correction = BarCorrection::query()->sole();
        self::assertSame([false, '2024-11-20'], [$correction->held_back, $correction->session]);
        self::assertSame($correction->is[3], app(BarRepository::class)->lastClose($this->instrument('OAKL.Q')));
        self::assertNotSame($correction->was, $correction->is);
    }

    public function testABarThatASetupWasJudgedOnStaysAndTheRecordSaysSo(): void
    {
        $this->planned('OAKL.Q');
        $this->publish();
        app(MarketAdvance::class)->to((int) strtotime('2024-11-21T18:00:00Z'));
        $this->actingAs($this->author)->postJson('/market/runs', ['by' => 'close']);
        $outcome = Outcome::query()->sole()->run;
        $before = DB::table('bars')->count();
        $text = $this->altered('OAKL.Q', '2024-11-21', TimeFrame::FiveMinutes);
        $import = $this->import(ImportKind::Bars, $text, ['timeFrame' => '5m']);

        self::assertSame([0, 0, 1], [$import->added, $import->corrected, $import->held_back], (string) json_encode($import->faults));
        self::assertSame([$before, $outcome], [DB::table('bars')->count(), Outcome::query()->sole()->run]);
        $correction = BarCorrection::query()->sole();
        $stored = DB::table('bars')->where(['instrument_id' => $correction->instrument_id, 'timeframe' => '5m', 'starts_at' => $correction->starts_at])->value('close');
        self::assertSame($correction->was[3], $stored, 'the figures it was judged on stay');
        $this->get('/record')->assertInertia(fn ($page) => $page->where('rows.0.followed.outcome.remarks.0', fn (string $remark): bool => str_contains($remark, 'told otherwise later') && str_contains($remark, $this->instrument('OAKL.Q')->grid()->format($correction->is[3]))));
        self::assertSame([0, 1], [$this->import(ImportKind::Bars, $text, ['timeFrame' => '5m'])->held_back, BarCorrection::query()->count()], 'told again, it is known');
    }

    public function testAnImportIsCancelledBeforeItWritesAndCanBeStartedAgain(): void
    {
        Queue::fake();
        $import = $this->begin(ImportKind::Bars, "symbol,date,open,high,low,close\nOAKL.Q,2024-10-01,58.00,59.00,57.00,58.50\n");
        (new StartImport())($import);
        (new CancelImport())($import);
        app(ImportRun::class)->run($import->refresh());
        self::assertSame([ImportState::Cancelled, 0], [$import->refresh()->state, $import->added]);

        (new StartImport())($import);
        app(ImportRun::class)->run($import->refresh());
        self::assertSame([ImportState::Done, 1], [$import->refresh()->state, $import->added]);
        $this->expectException(ValidationException::class);
        (new StartImport())($import);
    }

    public function testACancelWhileLinesAreCheckedStopsIt(): void
    {
        $lines = "symbol,date,open,high,low,close\n";
        for ($i = 0; $i < 5_100; ++$i) {
            $lines .= "OAKL.Q,2024-10-01,58.00,59.00,57.00,58.50\n";
        }
        $import = $this->begin(ImportKind::Bars, $lines);
        $import->update(['state' => ImportState::Queued]);
        $told = [];
        $check = app(Importer::class)->check(ImportRun::source($import), static function (int $done) use (&$told): bool {
            $told[] = $done;

            return false;
        });

        self::assertSame([[5_000], true], [$told, $check->stopped]);
    }

    public function testInstrumentsBringAllTheirTerms(): void
    {
        $import = $this->import(ImportKind::Instruments, implode("\n", [
            'symbol,name,kind,decimals,tick,currency,group,exchange,sector,lot,point_value,pip,benchmark,listed_on,tracks,multiple,series,last_session,labels',
            'OILQ-2612.Q,Rape oil Dec 2026,future,1,0.5,QUD,Crops,QFUT,,1,50,,,2026-03-16,,,OILQ.Q,2026-12-16,',
            'DOWN.Q,Down Fund,fund,2,0.01,QUD,Funds,QUAY,,1,1,,NORD.Q,,NORD.Q,-2,,,resets daily',
            'AABB.Q,Aland against Birk,pair,5,0.00001,BIR,Currencies,PIER,,1000,1,0.0001,,,,,,,',
        ])."\n");

        self::assertSame([ImportState::Done, 3], [$import->state, $import->added], (string) json_encode($import->faults));
        $contract = $this->instrument('OILQ-2612.Q');
        self::assertSame(['OILQ.Q', '2026-12-16', '50', 5, true], [$contract->series, $contract->last_session, $contract->point_value, $contract->tick, $contract->isTraded()]);
        self::assertSame(['NORD.Q', -2, ['resets daily']], [$this->instrument('DOWN.Q')->tracks, $this->instrument('DOWN.Q')->multiple, $this->instrument('DOWN.Q')->labels]);
        self::assertSame([InstrumentKind::Pair, 10, 1000], [$this->instrument('AABB.Q')->kind, $this->instrument('AABB.Q')->pip, $this->instrument('AABB.Q')->lot]);

        $bad = $this->import(ImportKind::Instruments, "symbol,name,kind,decimals,currency,group,exchange,tick\nX X,Bad,share,2,QUD,G,,\nY.Q,Bad,bond,2,QUD,G,,\nZ.Q,Bad,share,9,QUD,G,,\nW.Q,Bad,share,2,QUD,G,MOON,\nV.Q,Bad,share,2,QUD,G,,0.001\nOAKL.Q,Oak,share,4,QUD,G,,\n");
        self::assertSame(['symbol', 'kind', 'decimals', 'exchange', 'tick', 'decimals'], array_column($bad->faults, 'field'));
    }

    public function testEventsComeFromTablesAndCalendarsAndGoBackUnchanged(): void
    {
        $csv = $this->import(ImportKind::Events, "date,kind,title,symbol,side,time\n2024-12-03,earnings,Earnings of Oaklight,OAKL.Q,after,\n2024-12-05,central bank,Rate decision,,during,13:00\n");
        self::assertSame([ImportState::Done, 2], [$csv->state, $csv->added], (string) json_encode($csv->faults));
        $known = MarketEvent::query()->count();

        $calendar = app(Exporter::class)->calendar();
        self::assertStringContainsString('SUMMARY:Rate decision', $calendar);
        self::assertSame([], Reader::read($calendar)->validate());
        $back = $this->import(ImportKind::Events, $calendar, [], 'events.ics');
        self::assertSame([ImportState::Done, 0, $known], [$back->state, $back->added, MarketEvent::query()->count()], (string) json_encode($back->faults));

        $foreign = $this->import(ImportKind::Events, "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//someone//EN\r\nBEGIN:VEVENT\r\nUID:1@x\r\nDTSTAMP:20241101T000000Z\r\nDTSTART:20241210T140000Z\r\nSUMMARY:Auction of bonds\r\nCATEGORIES:Auction\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n", [], 'foreign.ics');
        self::assertSame(1, $foreign->added, (string) json_encode($foreign->faults));
        $event = MarketEvent::query()->where('title', 'Auction of bonds')->sole();
        self::assertSame(['2024-12-10', '14:00', 'auction'], [$event->date, $event->time, $event->kind->value]);

        $this->expectException(UnreadableFile::class);
        $this->begin(ImportKind::Events, 'no calendar at all', 'broken.ics');
        app(Importer::class)->preview(ImportRun::source(Import::query()->latest('id')->firstOrFail()));
    }

    public function testWhatIsExportedCanBeImported(): void
    {
        $rows = fn (string $symbol): string => md5((string) json_encode(DB::table('bars')->where('instrument_id', $this->instrument($symbol)->id)->orderBy('timeframe')->orderBy('starts_at')->get()));
        $before = $rows('GRIT.Q');
        foreach ([TimeFrame::Day, TimeFrame::FiveMinutes] as $timeFrame) {
            $files[] = $this->csv(app(Exporter::class)->bars($this->instrument('GRIT.Q'), $timeFrame));
        }
        DB::table('bars')->where('instrument_id', $this->instrument('GRIT.Q')->id)->delete();
        foreach ($files as $file) {
            self::assertSame(ImportState::Done, $this->import(ImportKind::Bars, $file)->state);
        }
        self::assertSame($before, $rows('GRIT.Q'));
        $instruments = $this->import(ImportKind::Instruments, $this->csv(app(Exporter::class)->instruments()));
        self::assertSame([0, Instrument::query()->count()], [$instruments->corrected, $instruments->unchanged], (string) json_encode($instruments->faults));
    }

    public function testTheCommandLineImportsAndSaysWhatIsWrong(): void
    {
        $good = $this->file("symbol,date,open,high,low,close\nOAKL.Q,2024-10-01,58.00,59.00,57.00,58.50\n");
        $bad = $this->file("when,a,b,c,d\n2024-10-02,58.00,59.00,57.00,60.00\n");

        $this->artisan('watchpost:import', ['file' => $good, '--check' => true])->expectsOutputToContain('1 lines checked, nothing written')->assertSuccessful();
        $this->artisan('watchpost:import', ['file' => $good])->expectsOutputToContain('1 added')->assertSuccessful();
        $this->artisan('watchpost:import', ['file' => $bad])->expectsOutputToContain('No column is known for: symbol')->assertFailed();
        $this->artisan('watchpost:import', ['file' => $bad, '--symbol' => 'OAKL.Q', '--column' => ['date=1', 'open=2', 'high=3', 'low=4', 'close=5']])->expectsOutputToContain('the close is outside the range')->assertFailed();
        $this->artisan('watchpost:import', ['file' => '/nowhere.csv'])->expectsOutputToContain('cannot be read')->assertFailed();
        $this->artisan('watchpost:import', ['file' => $good, '--zone' => 'Mars'])->expectsOutputToContain('no such time zone')->assertFailed();
        Artisan::call('watchpost:export', ['kind' => 'bars', '--symbol' => 'OAKL.Q']);
        self::assertStringContainsString('OAKL.Q,1d,2024-10-01,58.00,59.00,57.00,58.50,0', Artisan::output());
    }

    public function testAWatchedFolderIsTakenInByTheRulesOfAnImport(): void
    {
        $folder = sys_get_temp_dir().'/watchpost-feed-'.uniqid();
        mkdir($folder);
        file_put_contents("{$folder}/bars-lark.csv", "symbol,date,open,high,low,close\nLARK.Q,2024-11-18,10,10.5,9.9,10.2\nLARK.Q,2024-11-21,10,10.5,9.9,10.4\n");
        file_put_contents("{$folder}/instruments.csv", self::NEW_NAME);
        file_put_contents("{$folder}/bars-bad.csv", "symbol,date,open,high,low,close\nLARK.Q,2024-11-19,10,9,9.9,10.2\n");
        file_put_contents("{$folder}/bars-late.csv.part", 'half of');
        config(['watchpost.feed_folder' => $folder]);
        $this->app->forgetInstance(FolderFeed::class);

        app(FolderFeed::class)->deliverUntil(0);

        self::assertSame(['2024-11-18'], app(BarRepository::class)->days($this->instrument('LARK.Q'), 9)->session, 'the later bar waits for the clock');
        self::assertFileExists("{$folder}/done/bars-lark.csv");
        self::assertStringContainsString('line 2, high: the high is below the low', (string) file_get_contents("{$folder}/refused/bars-bad.csv.report.txt"));
        self::assertFileExists("{$folder}/bars-late.csv.part");
        app(MarketAdvance::class)->to((int) strtotime('2024-11-21T18:00:00Z'));
        self::assertSame('2024-11-21', collect(app(BarRepository::class)->days($this->instrument('LARK.Q'), 9)->session)->last());
    }

    private function file(string $text, string $name = 'file.csv'): string
    {
        $path = sys_get_temp_dir().'/'.uniqid('watchpost-').'-'.$name;
        file_put_contents($path, $text);

        return $path;
    }

    private function begin(ImportKind $kind, string $text, string $name = 'file.csv'): Import
    {
        return app(BeginImport::class)($this->author, $kind, $this->file($text, $name), $name);
    }

    /** @param array<string, mixed> $mapping what is corrected by hand */
    private function import(ImportKind $kind, string $text, array $mapping = [], string $name = 'file.csv'): Import
    {
        $import = $this->begin($kind, $text, $name);

        return $this->carryOut($import, $mapping);
    }

    /** @param array<string, mixed> $mapping */
    private function carryOut(Import $import, array $mapping = []): Import
    {
        $import->update(['mapping' => Mapping::fromArray([...$import->mapping, ...$mapping])->toArray(), 'state' => ImportState::Queued]);
        app(ImportRun::class)->run($import);

        return $import->refresh();
    }

    /** @param iterable<list<string>> $lines */
    private function csv(iterable $lines): string
    {
        $stream = fopen('php://temp', 'w+');
        \assert($stream !== false);
        Exporter::write($lines, $stream);
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /** A bar of a session as it is stored, with another close. */
    private function altered(string $symbol, string $session, TimeFrame $timeFrame): string
    {
        $instrument = $this->instrument($symbol);
        $bars = app(BarRepository::class)->from($instrument, $timeFrame, (int) strtotime($session));
        $bar = $bars[0];
        $grid = $instrument->grid();
        $close = $bar->close === $bar->high ? $bar->low : $bar->high;
        $date = $timeFrame === TimeFrame::Day ? $session : gmdate('Y-m-d\TH:i:s\Z', $bar->start);

        return "symbol,date,open,high,low,close,volume\n{$symbol},{$date},{$grid->format($bar->open)},{$grid->format($bar->high)},{$grid->format($bar->low)},{$grid->format($close)},{$bar->volume}\n";
    }
}
