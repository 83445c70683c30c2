<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\RecordTotalsData;
use App\Models\Edition;
use App\Models\PublishedSetup;
use App\Record\InR;
use App\Record\RecordPresenter;
use App\Record\Runs;
use App\Subscribers\Tiers;

/**
 * What a text names in braces: "{OAKL.Q stop}" is the stop that the edition publishes, "{edition 12/3 result}" what came of a
 * setup, "{record realised}" a sum of the record. So a number in a text is never typed and is always the right one.
 *
 * @phpstan-import-type CandidatePart from EditionComposer
 */
final class References
{
    private const PATTERN = '/\{([^{}\n]{2,100})\}/u';
    private const OF_RECORD = ['published', 'closed', 'open', 'waiting', 'not triggered', 'realised', 'still open'];

    /** The sums of the record, read once. */
    private ?RecordTotalsData $totals = null;

    public function __construct(private readonly EditionReader $editions, private readonly Runs $runs, private readonly RecordPresenter $record, private readonly Tiers $tiers)
    {
    }

    /** @return list<string> the names that a text refers to, once each */
    public static function in(string $text): array
    {
        preg_match_all(self::PATTERN, $text, $found);

        return array_values(array_unique(array_map(trim(...), $found[1])));
    }

    /** @param callable(string): string $say what stands for a name */
    public static function replace(string $text, callable $say): string
    {
        return (string) preg_replace_callback(self::PATTERN, static fn (array $found): string => $say(trim($found[1])), $text);
    }

    /** The symbol that a name begins with; null for one that names no instrument. */
    public static function symbolOf(string $name): ?string
    {
        return preg_match('/^([A-Z0-9-]+\.[A-Z0-9]+)\s/', "{$name} ", $found) === 1 ? $found[1] : null;
    }

    /**
     * What the candidates of an edition say for a name: it is sealed with it.
     *
     * @param list<CandidatePart> $candidates
     */
    public function ofPlan(string $name, array $candidates): ?string
    {
        $symbol = self::symbolOf($name);
        foreach ($candidates as $candidate) {
            if ($candidate['instrument']['symbol'] === $symbol) {
                return self::ofCandidate(trim(substr($name, strlen($symbol))), $candidate);
            }
        }

        return null;
    }

    /**
     * All names that can be referred to, with what they say, for the author to choose from.
     *
     * @param list<CandidatePart> $candidates
     *
     * @return array<string, string>
     */
    public function offers(array $candidates): array
    {
        $names = [];
        foreach ($candidates as $candidate) {
            $symbol = $candidate['instrument']['symbol'];
            $what = ['last'];
            foreach ($candidate['setups'] ?? [] as $setup) {
                $variant = isset($setup['name']) ? ", {$setup['name']}" : '';
                $targets = is_array($setup['rules']['targets'] ?? null) ? count($setup['rules']['targets']) : 0;
                array_push($what, "setup{$variant}", "entry{$variant}", "stop{$variant}", "risk{$variant}", ...array_map(static fn (int $n): string => "target {$n}{$variant}", $targets === 0 ? [] : range(1, $targets)));
            }
            foreach ($candidate['levels'] as $level) {
                $what[] = "level {$level['origin']}";
            }
            foreach ($what as $one) {
                $names["{$symbol} {$one}"] = self::ofCandidate($one, $candidate) ?? '';
            }
        }
        foreach (self::OF_RECORD as $one) {
            $names["record {$one}"] = $this->live("record {$one}") ?? '';
        }
        foreach (PublishedSetup::query()->with('edition')->orderByDesc('id')->limit(40)->get() as $published) {
            $name = "edition {$published->edition->number}/{$published->key} result";
            $names[$name] = $this->live($name) ?? '';
        }

        return array_filter($names, static fn (string $says): bool => $says !== '');
    }

    /** What is told as it stands when it is read: a result, or a sum of the record. */
    public function live(string $name): ?string
    {
        if (preg_match('#^edition (\d+)/(\w+) result$#D', $name, $found) === 1) {
            return $this->result((int) $found[1], $found[2]);
        }
        if (preg_match('/^record (.+)$/D', $name, $found) !== 1 || ! in_array($found[1], self::OF_RECORD, true)) {
            return null;
        }
        $totals = $this->totals ??= $this->record->totals($this->record->rows($this->tiers->whole()));

        return match ($found[1]) {
            'published' => (string) $totals->published,
            'closed' => (string) $totals->closed,
            'open' => (string) $totals->open,
            'waiting' => (string) $totals->waiting,
            'not triggered' => (string) $totals->notTriggered,
            'realised' => $totals->closed === 0 ? 'nothing closed' : InR::told($totals->realised),
            default => $totals->open === 0 ? 'none' : InR::told($totals->openR),
        };
    }

    /** The setup that a name tells the result of; null for another name. */
    public function setupOf(string $name): ?PublishedSetup
    {
        return preg_match('#^edition (\d+)/(\w+) result$#D', $name, $found) !== 1 ? null : PublishedSetup::query()->with(['edition', 'outcome'])
            ->where('key', $found[2])
            ->whereRelation('edition', 'number', (int) $found[1])
            ->first();
    }

    private function result(int $number, string $key): ?string
    {
        $edition = Edition::query()->where('number', $number)->first();
        $published = $edition?->publishedSetups()->with(['edition', 'instrument', 'outcome'])->where('key', $key)->first();
        if ($edition === null || $published?->outcome === null) {
            return null;
        }
        [, $outcome] = $this->runs->told($published, $this->editions->setup($edition, $key), $published->outcome);

        return $outcome->r === null ? str_replace('_', ' ', $outcome->status->value) : InR::told($outcome->r);
    }

    /** @param CandidatePart $candidate */
    private static function ofCandidate(string $what, array $candidate): ?string
    {
        if ($what === 'last') {
            return $candidate['last_close'];
        }
        if (str_starts_with($what, 'level ')) {
            foreach ($candidate['levels'] as $level) {
                if ($level['origin'] === substr($what, 6)) {
                    return isset($level['low'], $level['high']) ? "{$level['low']}–{$level['high']}" : $level['price'];
                }
            }

            return null;
        }
        foreach ($candidate['setups'] ?? [] as $setup) {
            $variant = isset($setup['name']) ? ", {$setup['name']}" : '';
            if ($variant !== '' && ! str_ends_with($what, $variant)) {
                continue;
            }
            $rules = $setup['rules'];
            $said = $variant === '' ? $what : substr($what, 0, -strlen($variant));
            $price = static fn (mixed $part): ?string => is_array($part) && is_string($part['price'] ?? null) ? $part['price'] : null;
            $legs = is_array($rules['legs'] ?? null) ? $rules['legs'] : [];
            $targets = is_array($rules['targets'] ?? null) ? $rules['targets'] : [];

            return match (true) {
                $said === 'setup' => rtrim($setup['sentence'], '.'),
                $said === 'risk' => $setup['risk'],
                $said === 'stop' => $price($rules['stop'] ?? null),
                $said === 'entry' => $price(is_array($legs[0] ?? null) ? $legs[0]['trigger'] ?? null : null),
                preg_match('/^target (\d+)$/D', $said, $found) === 1 => $price($targets[(int) $found[1] - 1] ?? null),
                default => null,
            };
        }

        return null;
    }
}
