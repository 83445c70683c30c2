<?php

declare(strict_types=1);

namespace App\Actions;

use App\Market\BarRepository;
use App\Models\Candidate;
use App\Planning\Variant;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Setups\VariantKind;

/** Adds a second way to trade the idea of a candidate, made from one that is planned. */
final readonly class AddVariant
{
    public function __construct(private BarRepository $bars)
    {
    }

    /** @return int the number of the new one */
    public function __invoke(Variant $from, VariantKind $kind): int
    {
        $candidate = $from->candidate;
        $setup = $from->setup();
        $draft = $from->draft();
        $close = $this->bars->lastClose($candidate->instrument);
        if ($setup === null || ! $draft->isComplete() || $close === null) {
            throw ValidationException::withMessages(['variant' => 'A variant is made from a setup with entry and stop: set these first.']);
        }
        $count = $candidate->setups->count();
        if ($count >= Variant::MOST) {
            throw ValidationException::withMessages(['variant' => 'A candidate has at most '.Variant::MOST.' variants.']);
        }
        $after = $kind->of($draft, $candidate->instrument->grid(), $close);
        $problems = $after->problems($candidate->instrument->grid());
        if ($problems !== []) {
            throw ValidationException::withMessages(['variant' => "That variant does not fit: {$problems[0]->message}"]);
        }
        [$first, $second] = $kind->names($draft->side);
        $from->change("a variant of {$candidate->instrument->symbol}", function () use ($candidate, $setup, $after, $kind, $first, $second, $count): void {
            if ($setup->name === '') {
                $setup->update(['name' => $first]);
            }
            if ($count === 1) {
                $candidate->update(['either_or' => $kind->isEitherOr()]);
            }
            $candidate->setups()->create([...$after->toState(), 'setup_kind_id' => $setup->setup_kind_id, 'ticked' => $setup->ticked, 'position' => $count + 1, 'name' => $this->free($candidate, $second)]);
        });

        return $count + 1;
    }

    /** A name that no other variant of the candidate bears. */
    private function free(Candidate $candidate, string $name): string
    {
        $taken = $candidate->setups()->pluck('name')->all();
        $free = $name;
        for ($i = 2; in_array($free, $taken, true); ++$i) {
            $free = "{$name} {$i}";
        }

        return $free;
    }
}
