<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\PublishedSetup;
use App\Record\Alarms;
use App\Record\SetupEvaluator;
use Illuminate\Bus\Batchable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

final class EvaluateSetup implements ShouldQueue
{
    use Batchable;
    use Queueable;

    public int $tries = 3;

    public function __construct(public readonly int $publishedSetupId)
    {
    }

    public function handle(SetupEvaluator $evaluator, Alarms $alarms): void
    {
        $published = PublishedSetup::query()->with(['edition', 'instrument'])->findOrFail($this->publishedSetupId);
        $evaluator->evaluate($published);
        foreach ($published->together() as $one) {
            $alarms->ring($one);
        }
    }
}
