<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Market\BarRepository;
use App\Market\Calendars;
use App\Market\Splits;
use App\Models\Edition;
use App\Models\Instrument;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Record\Runs;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Conditions\IndexSide;
use Watchpost\Core\Verification\BarFile;
use Watchpost\Core\Verification\Verifier;

/**
 * Everything anyone needs to recompute an edition: its sealed document, what the record claims of each of its setups, the
 * sessions and splits, and the bars they were judged on.
 *
 * @phpstan-type Claim array{as_of: string, from: string, outcome: array<string, mixed>, managed?: array<string, mixed>}
 */
final readonly class Evidence
{
    /** Days after the last evaluation whose sessions are listed: the end of a quarter must be known. */
    private const AHEAD = 100 * 86_400;

    public function __construct(
        private EditionReader $editions,
        private Runs $runs,
        private BarRepository $bars,
        private Calendars $calendars,
        private Splits $splits,
    ) {
    }

    /** @return array<string, mixed> in the form of docs/formats.md, Verifying an edition */
    public function of(Edition $edition): array
    {
        $claims = $sessions = $splits = $updates = [];
        foreach ($this->setups($edition) as $published) {
            $updates[$published->key] = array_values($published->updates->whereNull('refused_because')->map->toRules()->all());
            $instrument = $published->instrument;
            $claims[$published->key] = $this->claim($published);
            $calendar = $this->calendars->of($instrument);
            [$from, $asOf] = $this->span($published);
            $listed = $calendar->between($calendar->dateOf($from), $calendar->dateOf($asOf + self::AHEAD));
            $told = array_map(static fn (Session $session): array => [$session->date, Instant::format($session->open), Instant::format($session->close)], [...$listed]);
            // of variants the one that looks back furthest
            $sessions[$instrument->symbol] = count($told) > count($sessions[$instrument->symbol] ?? []) ? $told : $sessions[$instrument->symbol];
            $splits[$instrument->symbol] = array_map(static fn (Split $split): array => ['session' => $split->session, 'ratio' => (string) $split->ratio], $this->splits->of($instrument));
        }

        return [
            'format' => Verifier::FORMAT,
            'seal' => $edition->seal,
            'edition' => $this->editions->document($edition),
            'claims' => (object) $claims,
            'sessions' => (object) $sessions,
            'splits' => (object) array_filter($splits),
        ] + (array_filter($updates) === [] ? [] : ['updates' => (object) array_filter($updates)]);
    }

    /** @return \Generator<list<string>> the lines of a file of bars, its columns first */
    public function bars(Edition $edition): \Generator
    {
        yield BarFile::COLUMNS;
        $base = TimeFrame::from($this->editions->document($edition)['judged_on']);
        $spans = [];
        foreach ($this->setups($edition) as $published) {
            [$first, $last] = $this->span($published);
            $sealed = $this->editions->setup($edition, $published->key);
            $symbols = [$published->instrument->symbol];
            foreach ($sealed->setup->conditions as $condition) {
                $symbols = [...$symbols, ...($condition instanceof IndexSide ? [$condition->symbol] : [])];
            }
            foreach ($symbols as $symbol) {
                [$from, $until] = $spans[$symbol] ?? [PHP_INT_MAX, 0];
                $spans[$symbol] = [min($from, $first), max($until, $last)];
            }
        }
        foreach (Instrument::query()->whereIn('symbol', array_keys($spans))->orderBy('symbol')->get() as $instrument) {
            [$from, $until] = $spans[$instrument->symbol];
            $grid = $instrument->grid();
            foreach ($this->bars->fromSessions($instrument, $base, $from, $edition->published_at) as $bar) {
                if ($bar->end <= $until) {
                    yield $this->line($bar, $instrument->symbol, $grid->format(...));
                }
            }
        }
    }

    /**
     * @param callable(int): string $format
     *
     * @return list<string>
     */
    private function line(Bar $bar, string $symbol, callable $format): array
    {
        return [$symbol, Instant::format($bar->start), $bar->session, $format($bar->open), $format($bar->high), $format($bar->low), $format($bar->close), (string) $bar->volume];
    }

    /** @return iterable<PublishedSetup> those that were evaluated */
    private function setups(Edition $edition): iterable
    {
        return $edition->publishedSetups()->with(['edition', 'instrument', 'outcome', 'managed', 'updates'])->whereHas('outcome')->orderBy('id')->get();
    }

    /** @return Claim */
    private function claim(PublishedSetup $published): array
    {
        $sealed = $this->editions->setup($published->edition, $published->key);
        [, $outcome] = $this->runs->told($published, $sealed, self::row($published));
        [$from, $asOf] = $this->span($published);

        return ['as_of' => Instant::format($asOf), 'from' => Instant::format($from), 'outcome' => $outcome->toArray()]
            + ($published->managed === null ? [] : ['managed' => $this->runs->told($published, $sealed, $published->managed)[1]->toArray()]);
    }

    /** @return array{int, int} from the first bar that was fed to the last evaluation */
    private function span(PublishedSetup $published): array
    {
        $row = self::row($published);

        return [$row->run['first_bar_at'] ?? $published->edition->published_at, $row->as_of];
    }

    private static function row(PublishedSetup $published): Outcome
    {
        return $published->outcome ?? throw new \LogicException('What was not evaluated claims nothing.');
    }
}
