<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Enums\LevelForm;
use App\Enums\LevelGrade;
use App\Levels\LevelTerms;
use App\Levels\NewLevel;
use App\Models\Level;
use App\Planning\PriceInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Levels\Anchor;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/** A level as a person marks or changes it. */
final class LevelRequest extends FormRequest
{
    private const LONGEST_AVERAGE = 400;

    /** the last close, in units, against which a slip of the decimal point shows */
    private ?int $last = null;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [
            'form' => ['sometimes', Rule::enum(LevelForm::class)],
            'price' => ['sometimes', 'string', 'max:30'],
            'low' => ['sometimes', 'nullable', 'string', 'max:30'],
            'high' => ['sometimes', 'nullable', 'string', 'max:30'],
            'origin' => ['sometimes', 'nullable', 'string', 'max:120'],
            'note' => ['sometimes', 'nullable', 'string', 'max:400'],
            'grade' => ['sometimes', Rule::enum(LevelGrade::class)],
            'timeFrame' => ['sometimes', Rule::enum(TimeFrame::class)],
            'logarithmic' => ['sometimes', 'boolean'],
            'average' => ['sometimes', Rule::in(['sma', 'ema', 'vwap'])],
            'period' => ['sometimes', 'nullable', 'integer', 'min:2', 'max:'.self::LONGEST_AVERAGE],
            'since' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
            'mark' => ['sometimes', 'nullable', 'string', 'max:80'],
            'session' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
            'sure' => ['sometimes', 'boolean'],
        ];
        foreach (['from', 'to', 'parallel'] as $point) {
            $rules[$point] = ['sometimes', 'nullable', 'array'];
            $rules["{$point}.session"] = ["required_with:{$point}", 'date_format:Y-m-d'];
            $rules["{$point}.price"] = ["required_with:{$point}", 'string', 'max:30'];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.date_format' => 'Write the date like 2026-10-14.', '*.session.date_format' => 'Write the date like 2026-10-14.', 'period.*' => 'The length must be 2 to '.self::LONGEST_AVERAGE.' sessions.'];
    }

    /** @throws ValidationException at the field */
    public function level(PriceGrid $grid, ?int $last): NewLevel
    {
        $this->last = $last;
        $form = $this->enum('form', LevelForm::class) ?? LevelForm::Price;
        $terms = $this->terms($form, $grid, new LevelTerms());
        [$price, $low, $high] = match ($form) {
            LevelForm::Zone => $this->zone($grid),
            LevelForm::Price, LevelForm::Mark => [$this->price($grid, 'price'), null, null],
            LevelForm::Line, LevelForm::Swing => [$terms->to->price ?? 0, null, null],
            LevelForm::Average => [0, null, null],
        };

        return new NewLevel(
            $form,
            $price,
            $this->filled('origin') ? trim($this->string('origin')->value()) : self::usualOrigin($form, $terms),
            $this->enum('grade', LevelGrade::class) ?? LevelGrade::Minor,
            $low,
            $high,
            $terms,
            $this->enum('timeFrame', TimeFrame::class) ?? TimeFrame::Day,
            trim($this->string('note')->value()),
        );
    }

    /**
     * What is to change of a level. A price moves all of it: both edges of a zone, all points of a line. A mark that is
     * moved is no longer tied to its bar.
     *
     * @return array<string, mixed> columns
     *
     * @param int $standsAt the price of the level as it is shown
     *
     * @throws ValidationException at the field
     */
    public function changes(Level $level, PriceGrid $grid, ?int $last, int $standsAt): array
    {
        $this->last = $last;
        $columns = array_filter([
            'origin' => $this->has('origin') ? (trim($this->string('origin')->value()) ?: NewLevel::OWN_READING) : null,
            'grade' => $this->enum('grade', LevelGrade::class),
            'time_frame' => $this->enum('timeFrame', TimeFrame::class),
            'note' => $this->has('note') ? trim($this->string('note')->value()) : null,
        ], static fn (mixed $value): bool => $value !== null);
        if ($this->hasAny(['low', 'high'])) {
            [$price, $low, $high] = $this->zone($grid);
            $columns += $low === $high ? ['form' => LevelForm::Price, 'price' => $low, 'low' => null, 'high' => null, 'terms' => null] : ['form' => LevelForm::Zone, 'price' => $price, 'low' => $low, 'high' => $high, 'terms' => null];
        } elseif ($this->hasAny(['from', 'to', 'parallel', 'logarithmic', 'average', 'period', 'since'])) {
            $terms = $this->terms($level->form, $grid, $level->terms());
            $columns += ['terms' => $terms->toArray(), 'price' => $terms->to->price ?? $level->price];
            if ($level->form === LevelForm::Average && $level->origin === $level->terms()->averageName()) {
                $columns += ['origin' => $terms->averageName()];
            }
        } elseif ($this->has('price')) {
            $columns += $this->moved($level, $this->price($grid, 'price'), $standsAt, $grid);
        }

        return $columns;
    }

    /** @return array<string, mixed> */
    private function moved(Level $level, int $price, int $standsAt, PriceGrid $grid): array
    {
        if ($level->form === LevelForm::Average || $level->form === LevelForm::Swing) {
            throw ValidationException::withMessages(['price' => $level->form === LevelForm::Average ? 'An average follows price. Change its length instead.' : 'The rungs follow from the two points. Change those instead.']);
        }
        $by = $price - $standsAt;
        $columns = $by === 0 ? [] : $level->pricesBy(static fn (int $units): int => max($grid->tick, $units + $by));

        return $level->form === LevelForm::Mark && $by !== 0 ? [...$columns, 'form' => LevelForm::Price, 'terms' => null] : $columns;
    }

    /** @return array{int, int, int} its middle on the tick, and its edges */
    private function zone(PriceGrid $grid): array
    {
        $low = $this->price($grid, 'low');
        $high = $this->price($grid, 'high');
        if ($low > $high) {
            throw ValidationException::withMessages(['low' => 'The lower edge must not be above the upper one.']);
        }

        return [max($low, min($high, $grid->nearestTick(($low + $high) / 2))), $low, $high];
    }

    private function price(PriceGrid $grid, string $field): int
    {
        return (new PriceInput($grid, $this->last, $this->boolean(PriceInput::SURE)))->price($this->string($field)->value(), $field);
    }

    private function terms(LevelForm $form, PriceGrid $grid, LevelTerms $before): LevelTerms
    {
        return match ($form) {
            LevelForm::Price, LevelForm::Zone => new LevelTerms(),
            LevelForm::Mark => new LevelTerms(mark: $this->needed('mark', 'Say what it is: "high of the previous week".'), session: $this->needed('session', 'Say the session of the bar.')),
            LevelForm::Average => $this->averageTerms($before),
            LevelForm::Line, LevelForm::Swing => $this->points($grid, $before, $form),
        };
    }

    private function averageTerms(LevelTerms $before): LevelTerms
    {
        $average = $this->string('average', $before->average)->value();
        if ($average === 'vwap') {
            return new LevelTerms(average: 'vwap', since: $this->filled('since') ? $this->string('since')->value() : $before->since ?? $this->needed('since', 'Say the session it counts from.'));
        }
        $period = $this->integer('period', $before->period);
        if ($average === '' || $period < 2) {
            throw ValidationException::withMessages(['period' => 'Say which average: its kind and its length.']);
        }

        return new LevelTerms(average: $average, period: $period);
    }

    private function points(PriceGrid $grid, LevelTerms $before, LevelForm $form): LevelTerms
    {
        $from = $this->point('from', $grid) ?? $before->from;
        $to = $this->point('to', $grid) ?? $before->to;
        if ($from === null || $to === null) {
            throw ValidationException::withMessages([$from === null ? 'from.price' : 'to.price' => 'Two points are needed.']);
        }
        if ($from->session === $to->session) {
            throw ValidationException::withMessages(['to.session' => 'The two points must lie in different sessions.']);
        }
        if ($form === LevelForm::Swing && $from->price === $to->price) {
            throw ValidationException::withMessages(['to.price' => 'A move needs two different prices.']);
        }
        [$from, $to] = $from->session < $to->session ? [$from, $to] : [$to, $from];

        return new LevelTerms($from, $to, $form === LevelForm::Line ? ($this->has('parallel') ? $this->point('parallel', $grid) : $before->parallel) : null, $this->boolean('logarithmic', $before->logarithmic));
    }

    private function point(string $field, PriceGrid $grid): ?Anchor
    {
        return $this->filled($field) ? new Anchor($this->string("{$field}.session")->value(), $this->price($grid, "{$field}.price")) : null;
    }

    private function needed(string $field, string $message): string
    {
        $text = trim($this->string($field)->value());
        if ($text === '') {
            throw ValidationException::withMessages([$field => $message]);
        }

        return $text;
    }

    private static function usualOrigin(LevelForm $form, LevelTerms $terms): string
    {
        return match ($form) {
            LevelForm::Line => $terms->parallel === null ? 'trend line' : 'channel',
            LevelForm::Average => $terms->averageName(),
            LevelForm::Swing => 'move of '.($terms->from->session ?? '').' to '.($terms->to->session ?? ''),
            LevelForm::Mark => "{$terms->mark} ({$terms->session})",
            default => NewLevel::OWN_READING,
        };
    }
}
