<?php

declare(strict_types=1);

namespace Watchpost\Core\Verification;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\CanonicalJson;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;
use Watchpost\Core\Setups\UpdateReader;

/**
 * Recomputes what an edition claims: its seal from its document, its place in the chain, and the outcome of every setup
 * from the sealed rules and the bars. Nothing is taken on trust but the bars themselves.
 *
 * Source: rules.md; docs/formats.md, Verifying an edition.
 *
 * @phpstan-type ClaimPart array{as_of: string, from: string, outcome: array<string, mixed>, managed?: array<string, mixed>}
 * @phpstan-type EvidencePart array{
 *     seal: string, edition: array<string, mixed>, claims: array<string, ClaimPart>, sessions: array<string, list<array{string, string, string}>>,
 *     splits: array<string, list<array{session: string, ratio: string}>>, updates?: array<string, list<array<string, mixed>>>
 * }
 */
final readonly class Verifier
{
    public const FORMAT = 'watchpost-evidence-1';

    public function __construct(private OutcomeEngine $engine = new OutcomeEngine())
    {
    }

    /**
     * @param array<string, mixed> $evidence an edition with its claims, decoded
     * @param array<string, mixed>|null $previous that of the edition before; null leaves the chain open
     *
     * @return list<Finding>
     *
     * @throws InvalidInput when a file is not what it should be
     */
    public function verify(array $evidence, BarFile $bars, ?array $previous = null): array
    {
        $one = self::parts($evidence, 'edition');

        return [
            self::seal($one),
            self::chain($one['edition'], $previous === null ? null : self::parts($previous, 'previous')),
            ...$this->outcomes($one, $bars),
        ];
    }

    /**
     * @param array<string, mixed> $evidence
     *
     * @return EvidencePart
     *
     * @throws InvalidInput
     */
    private static function parts(array $evidence, string $path): array
    {
        $keys = Node::of($evidence, $path)->object(['format', 'seal', 'edition', 'claims', 'sessions', 'splits'], ['updates']);
        $keys['format']->choice([self::FORMAT]);
        $keys['seal']->text();
        $keys['edition']->entries();
        foreach ($keys['claims']->entries() as $claim) {
            $claim->object(['as_of', 'from', 'outcome'], ['managed']);
        }

        /** @var EvidencePart $evidence its parts were looked at; what they hold is read by the rules */
        return $evidence;
    }

    /** @param EvidencePart $one */
    private static function seal(array $one): Finding
    {
        $seal = hash('sha256', CanonicalJson::encode($one['edition']));

        return new Finding('seal', hash_equals($seal, $one['seal']), $seal === $one['seal'] ? $seal : "the document gives {$seal}, not {$one['seal']}");
    }

    /**
     * @param array<string, mixed> $edition
     * @param EvidencePart|null    $previous
     */
    private static function chain(array $edition, ?array $previous): Finding
    {
        $named = is_string($edition['previous_seal'] ?? null) ? $edition['previous_seal'] : null;
        if ($named === null) {
            return new Finding('chain', $previous === null, $previous === null ? 'the first of its chain' : 'it names no edition before it, though one was given');
        }
        if ($previous === null) {
            return new Finding('chain', true, "it names {$named}; give the edition before it with --previous to see that it is the one");
        }
        $seal = hash('sha256', CanonicalJson::encode($previous['edition']));

        return new Finding('chain', $seal === $named, $seal === $named ? 'it names the edition before it' : "it names {$named}, but the edition given has {$seal}");
    }

    /**
     * @param EvidencePart $one
     *
     * @return list<Finding>
     *
     * @throws InvalidInput
     */
    private function outcomes(array $one, BarFile $bars): array
    {
        $findings = [];
        $candidates = Node::of($one['edition'], 'edition')->key('candidates')->list();
        foreach ($candidates as $node) {
            $candidate = $node->entries();
            $symbol = $candidate['instrument']->key('symbol')->text();
            $setups = isset($candidate['setups']) ? $candidate['setups']->list() : [];
            foreach ($setups as $place => $setup) {
                $key = $setup->key('key')->text();
                $what = "setup {$key}, {$symbol}";
                $claim = $one['claims'][$key] ?? null;
                if ($claim === null) {
                    $findings[] = new Finding($what, false, 'nothing is claimed of it');
                    continue;
                }
                $findings[] = $this->compare($what, $claim['outcome'], $this->outcome($one, $symbol, $candidate['instrument'], $setups, $place, $claim, $bars, false));
                if (isset($claim['managed'])) {
                    $findings[] = $this->compare("{$what}, as managed", $claim['managed'], $this->outcome($one, $symbol, $candidate['instrument'], $setups, $place, $claim, $bars, true));
                }
            }
        }

        return $findings;
    }

    /**
     * @param EvidencePart $one
     * @param list<Node>   $setups of the candidate
     * @param ClaimPart    $claim
     * @param bool         $managed with the author's updates applied
     *
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private function outcome(array $one, string $symbol, Node $instrument, array $setups, int $place, array $claim, BarFile $bars, bool $managed): array
    {
        $edition = $one['edition'];
        $rules = array_map(static fn (Node $setup): array => $setup->key('rules')->toArray(), $setups);
        $others = [];
        foreach (self::symbols($rules) as $other) {
            $others[$other] = ['bars' => $bars->of($other, $claim['from'])];
        }
        $input = [
            'instrument' => ['symbol' => $symbol, 'decimals' => $instrument->key('decimals')->int(), 'tick' => $instrument->key('tick')->text()],
            'setups' => $rules,
            'costs' => $edition['costs'] ?? [],
            'timeframe' => $edition['judged_on'] ?? '',
            'sessions' => $one['sessions'][$symbol] ?? [],
            'splits' => $one['splits'][$symbol] ?? [],
            'bars' => $bars->of($symbol, $claim['from']),
            'as_of' => $claim['as_of'],
        ] + ($others === [] ? [] : ['others' => $others]);

        $request = OutcomeReader::read(Node::of($input, "edition.{$symbol}"));
        $updates = ! $managed ? [] : array_map(static function (Node $setup) use ($one, $request): array {
            $key = $setup->key('key')->text();

            return isset($one['updates'][$key]) ? UpdateReader::read(Node::of($one['updates'], 'updates')->key($key), $request->grid) : [];
        }, $setups);

        return $request->answer($this->engine, $updates)[$place]->toArray();
    }

    /**
     * The symbols that conditions name.
     *
     * @param list<array<string, mixed>> $rules
     *
     * @return list<string>
     */
    private static function symbols(array $rules): array
    {
        $symbols = [];
        foreach ($rules as $setup) {
            foreach (is_array($setup['conditions'] ?? null) ? $setup['conditions'] : [] as $condition) {
                if (is_array($condition) && is_string($condition['symbol'] ?? null)) {
                    $symbols[$condition['symbol']] = $condition['symbol'];
                }
            }
        }

        return array_values($symbols);
    }

    /**
     * @param array<string, mixed> $claimed
     * @param array<string, mixed> $found
     */
    private function compare(string $what, array $claimed, array $found): Finding
    {
        $differs = [];
        foreach ($found as $key => $value) {
            if (! array_key_exists($key, $claimed) || CanonicalJson::encode($claimed[$key]) !== CanonicalJson::encode($value)) {
                $differs[] = $key === 'events' ? 'the events' : "{$key} is ".self::told($value).' by the rules, claimed '.self::told($claimed[$key] ?? null);
            }
        }
        $status = is_string($found['status']) ? str_replace('_', ' ', $found['status']) : '';

        return new Finding($what, $differs === [], $differs === [] ? $status.(is_string($found['r']) ? ", {$found['r']} R" : '') : implode('; ', $differs));
    }

    private static function told(mixed $value): string
    {
        return is_string($value) ? $value : CanonicalJson::encode($value);
    }
}
