<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\EditionData;
use App\Data\TargetData;

/** The setups of an edition, as a tier reads them, as lines of a CSV file: one for each. */
final class SetupsFile
{
    private const COLUMNS = ['edition', 'session', 'key', 'symbol', 'variant', 'kind', 'side', 'trigger', 'entries', 'stop', 'targets', 'target_shares', 'cancel', 'risk', 'currency', 'good_until', 'sentence', 'status', 'r', 'as_of'];

    /** @return list<array<string, string>> the same by the names of the columns */
    public function records(EditionData $edition): array
    {
        $lines = iterator_to_array($this->lines($edition), false);

        return array_map(static fn (array $line): array => array_combine(self::COLUMNS, $line), array_slice($lines, 1));
    }

    /** @return \Generator<list<string>> the names of the columns first; several prices in one cell are parted by a space */
    public function lines(EditionData $edition): \Generator
    {
        yield self::COLUMNS;
        foreach ($edition->parts as $part) {
            foreach ($part->setups as $setup) {
                yield [
                    (string) $edition->number,
                    $edition->session,
                    $setup->key,
                    $part->symbol,
                    $setup->name,
                    $setup->kind,
                    $setup->side->value,
                    $setup->trigger,
                    implode(' ', $setup->entries),
                    $setup->stop,
                    implode(' ', array_map(static fn (TargetData $target): string => $target->price, $setup->targets)),
                    implode(' ', array_map(static fn (TargetData $target): string => $target->share, $setup->targets)),
                    $setup->cancel ?? '',
                    $setup->risk,
                    $part->currency,
                    $setup->goodUntil,
                    $setup->sentence,
                    $setup->followed->outcome->status->value ?? '',
                    $setup->followed->outcome->r ?? '',
                    $setup->followed->outcome->asOf ?? '',
                ];
            }
        }
    }
}
