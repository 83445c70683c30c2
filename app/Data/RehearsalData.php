<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\RehearsalScope;
use App\Enums\RunState;

/** A rehearsal, as far as it has come. */
final readonly class RehearsalData
{
    /**
     * @param string                  $at      what kind of level it stands at, as it was chosen
     * @param list<string>            $rule    the rule in words, line by line
     * @param list<FigureData>        $figures what its cases come to
     * @param string|null             $tooFew  said instead of any rate
     * @param list<RehearsalCaseData> $cases   the latest first
     * @param bool                    $isStale whether the setup has changed since
     */
    public function __construct(
        public int $id,
        public RunState $state,
        public int $done,
        public int $total,
        public ?string $message,
        public string $at,
        public RehearsalScope $scope,
        public int $sessions,
        public array $rule,
        public array $figures,
        public ?string $tooFew,
        public array $cases,
        public bool $isStale,
    ) {
    }
}
