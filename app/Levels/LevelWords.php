<?php

declare(strict_types=1);

namespace App\Levels;

use App\Enums\LevelForm;
use App\Models\Level;
use Watchpost\Core\Levels\Anchor;
use Watchpost\Core\Market\PriceGrid;

/** A level in words, as its history and the labels of undo tell it. */
final class LevelWords
{
    private const KINDS = [
        '/^(held \d+ of \d+ visit|not visited since)/' => 'zone of turns',
        '/ % back\b/' => 'retracement',
        '/^[\d.]+ %/' => 'projection',
        '/^\d+ levels of \d+ kinds/' => 'several together',
        '/^(rising|falling) line\b/' => 'trend line',
        '/^(SMA|EMA) \d+$/' => 'average',
        '/^VWAP\b/' => 'VWAP',
        '/^(P|[RS]\d|Fibonacci [RS]\d) of the previous/' => 'pivot point',
        '/edge of the expected range/' => 'expected range',
    ];

    public static function of(Level $level, PriceGrid $grid): string
    {
        $terms = $level->terms();
        $point = static fn (?Anchor $anchor): string => $anchor === null ? '' : "{$grid->format($anchor->price)} on {$anchor->session}";

        return match ($level->form) {
            LevelForm::Price, LevelForm::Mark => $grid->format($level->price),
            LevelForm::Zone => "{$grid->format($level->lowEdge())} to {$grid->format($level->highEdge())}",
            LevelForm::Line => ($terms->parallel === null ? 'line' : 'channel')." from {$point($terms->from)} to {$point($terms->to)}".($terms->parallel === null ? '' : " and {$point($terms->parallel)}"),
            LevelForm::Average => $terms->averageName(),
            LevelForm::Swing => "move from {$point($terms->from)} to {$point($terms->to)}",
        };
    }

    /**
     * Where a level came from, without what is its own: "high of the previous week (2026-10-05)" is one of the highs of
     * a previous week, "38.2 % back, move of ..." one of the retracements.
     */
    public static function kindOf(string $origin): string
    {
        $plain = trim((string) preg_replace(['/\s*\(\d{4}-\d{2}-\d{2}\)/', '/ (of|since) \d{4}-\d{2}-\d{2}.*/'], '', $origin));
        foreach (self::KINDS as $pattern => $kind) {
            if (preg_match($pattern, $plain) === 1) {
                return $kind;
            }
        }

        return mb_strtolower((string) preg_replace('/^\d+-session/', 'n-session', $plain));
    }
}
