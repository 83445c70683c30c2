<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Setup;
use App\Planning\Variant;

/** Takes a setup off a candidate; its levels stay, and variants after it move up. */
final class RemoveVariant
{
    public function __invoke(Variant $variant): void
    {
        $candidate = $variant->candidate;
        $variant->change("clear the setup of {$candidate->instrument->symbol}", static function () use ($variant, $candidate): void {
            $variant->setup()?->delete();
            // one after the other, so that no two ever bear the same number
            foreach ($candidate->setups()->where('position', '>', $variant->number)->get() as $later) {
                $later->update(['position' => $later->position - 1]);
            }
            if ($candidate->setups()->count() === 1) {
                Setup::query()->where('candidate_id', $candidate->id)->update(['name' => '']);
            }
        });
    }
}
