<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\BarCorrection;
use App\Models\Instrument;
use App\Models\PublishedSetup;
use App\Publishing\EditionReader;
use Watchpost\Core\Market\TimeFrame;

/** Which bars published setups were judged on, and which of these were told otherwise later. */
final class JudgedBars
{
    /** @var array<int, list<array{TimeFrame, int, int}>> time frame, first and last start, by instrument */
    private array $spans = [];

    public function __construct(private readonly EditionReader $editions)
    {
    }

    public function wereJudgedOn(Instrument $instrument, TimeFrame $timeFrame, int $start): bool
    {
        foreach ($this->spans[$instrument->id] ??= $this->spansOf($instrument) as [$frame, $from, $to]) {
            if ($frame === $timeFrame && $start >= $from && $start <= $to) {
                return true;
            }
        }

        return false;
    }

    /** @return list<BarCorrection> of bars that a setup was judged on, with the figures that came later */
    public function correctionsOf(PublishedSetup $published, TimeFrame $judgedOn): array
    {
        $span = $this->spanOf($published);

        return $span === null ? [] : array_values(BarCorrection::query()
            ->with('instrument')
            ->where('instrument_id', $published->instrument_id)
            ->where('timeframe', $judgedOn->value)
            ->where('held_back', true)
            ->whereBetween('starts_at', $span)
            ->orderBy('starts_at')
            ->get()
            ->all());
    }

    /** @return list<array{TimeFrame, int, int}> */
    private function spansOf(Instrument $instrument): array
    {
        $spans = [];
        foreach (PublishedSetup::query()->with(['edition', 'outcome'])->where('instrument_id', $instrument->id)->get() as $published) {
            $span = $this->spanOf($published);
            if ($span !== null) {
                $spans[] = [TimeFrame::from($this->editions->document($published->edition)['judged_on']), ...$span];
            }
        }

        return $spans;
    }

    /** @return array{int, int}|null from the first bar that was fed, those that only look back included, to the last */
    private function spanOf(PublishedSetup $published): ?array
    {
        $run = $published->outcome?->run;

        return isset($run['first_bar_at'], $run['last_bar']) ? [$run['first_bar_at'], $run['last_bar'][0]] : null;
    }
}
