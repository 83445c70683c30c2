<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;

/** The kinds of line that are judged. */
final class Judges
{
    /** @var list<class-string<Judge>> */
    private const CLASSES = [LeastReward::class, LeastStop::class, NearEntry::class, AverageCheck::class, RsiCheck::class, LeastVolume::class, NoEarnings::class];

    /** @return array<string, string> what each asks, by its word in JSON */
    public static function kinds(): array
    {
        return array_merge(...array_map(static fn (string $class): array => $class::kinds(), self::CLASSES));
    }

    /** @throws InvalidInput on an unknown kind or a value that does not fit */
    public static function read(string $kind, string $value): Judge
    {
        $value = Node::of(['value' => $value], 'checklist')->key('value');
        foreach (self::CLASSES as $class) {
            if (isset($class::kinds()[$kind])) {
                return $class::read($kind, $value);
            }
        }
        throw $value->fail("\"{$kind}\" is not a line that can be judged");
    }
}
