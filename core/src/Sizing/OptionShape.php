<?php

declare(strict_types=1);

namespace Watchpost\Core\Sizing;

/** Positions in options whose greatest loss is known when they are opened. */
enum OptionShape: string
{
    case LongOption = 'long_option';
    case Vertical = 'vertical';
    case Butterfly = 'butterfly';

    /** @return non-empty-list<int> contracts bought of each strike; below 0 for those sold */
    public function quantities(): array
    {
        return match ($this) {
            self::LongOption => [1],
            self::Vertical => [1, -1],
            self::Butterfly => [1, -2, 1],
        };
    }

    /** @return non-empty-list<string> what each strike is called */
    public function strikeNames(): array
    {
        return match ($this) {
            self::LongOption => ['strike'],
            self::Vertical => ['bought strike', 'sold strike'],
            self::Butterfly => ['lower strike', 'middle strike', 'upper strike'],
        };
    }
}
