<?php

declare(strict_types=1);

namespace App\Levels;

use App\Enums\LevelForm;
use App\Enums\LevelGrade;
use Watchpost\Core\Levels\Anchor;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/** A level to be marked: what a person said of it, in units on the tick. */
final readonly class NewLevel
{
    public const OWN_READING = 'own reading';
    private const LONGEST_ORIGIN = 120;

    /**
     * @param int      $price where it stands now; of a zone its middle
     * @param int|null $low   edges of a zone
     */
    public function __construct(
        public LevelForm $form,
        public int $price,
        public string $origin = self::OWN_READING,
        public LevelGrade $grade = LevelGrade::Minor,
        public ?int $low = null,
        public ?int $high = null,
        public LevelTerms $terms = new LevelTerms(),
        public TimeFrame $timeFrame = TimeFrame::Day,
        public string $note = '',
    ) {
    }

    public static function at(int $price, string $origin = self::OWN_READING, LevelGrade $grade = LevelGrade::Minor): self
    {
        return new self(LevelForm::Price, $price, $origin, $grade);
    }

    /** What a level of the cross-check is as one's own. */
    public static function from(Check $check, PriceGrid $grid): self
    {
        $found = $check->found;
        $terms = self::termsOf($check, $grid);
        $form = match (true) {
            $found->kind === LevelKind::Line && $terms->from !== null => LevelForm::Line,
            $found->kind === LevelKind::Average && $terms->isAverage() => LevelForm::Average,
            $found->kind === LevelKind::Period => LevelForm::Mark,
            $found->low < $found->high => LevelForm::Zone,
            default => LevelForm::Price,
        };

        return new self(
            $form,
            $found->price,
            mb_substr($found->origin, 0, self::LONGEST_ORIGIN),
            LevelGrade::from($found->grade->value),
            $form === LevelForm::Zone ? $found->low : null,
            $form === LevelForm::Zone ? $found->high : null,
            $terms,
            $check->timeFrame,
        );
    }

    private static function termsOf(Check $check, PriceGrid $grid): LevelTerms
    {
        $details = $check->found->details;
        $text = static fn (string $name): string => is_string($details[$name] ?? null) ? $details[$name] : '';
        $anchor = static fn (string $name): Anchor => new Anchor($text($name), $grid->units($text("{$name}_price")) ?? 0);
        if ($check->found->kind === LevelKind::Line && $text('from') !== '') {
            return new LevelTerms($anchor('from'), $anchor('to'), logarithmic: ($details['logarithmic'] ?? false) === true);
        }
        if ($check->found->kind === LevelKind::Average && preg_match('/^(SMA|EMA) (\d+)$/D', $check->found->origin, $m) === 1) {
            return new LevelTerms(average: strtolower($m[1]), period: (int) $m[2]);
        }

        return $check->found->kind === LevelKind::Period ? new LevelTerms(mark: $text('mark'), session: $text('session')) : new LevelTerms();
    }

    /** @return array<string, mixed> columns of a level */
    public function toArray(): array
    {
        $terms = $this->terms->toArray();

        return [
            'form' => $this->form,
            'price' => $this->price,
            'low' => $this->low,
            'high' => $this->high,
            'terms' => $terms === [] ? null : $terms,
            'origin' => $this->origin,
            'grade' => $this->grade,
            'time_frame' => $this->timeFrame,
            'note' => $this->note,
        ];
    }
}
