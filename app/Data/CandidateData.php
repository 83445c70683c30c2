<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\CandidateSource;
use App\Enums\CandidateState;
use App\Enums\NoTrade;
use App\Enums\Relation;
use Watchpost\Core\Setups\Side;

/** A candidate on the plan's working list; the verdict is what is said of one that is no trade. */
final readonly class CandidateData
{
    /**
     * @param Side|null         $side     of its whole setup, or the one the author leans to
     * @param string            $from     where it came from, in words
     * @param string            $standing where price stands, in words
     * @param list<float>       $closes   of the last sessions
     * @param list<float>       $levels   prices of those in use
     * @param list<VariantData> $variants
     */
    public function __construct(
        public int $id,
        public InstrumentData $instrument,
        public CandidateState $state,
        public string $reason,
        public NoTrade $noTrade,
        public ?string $wouldChange,
        public string $verdict,
        public string $readers,
        public CandidateSource $source,
        public string $sourceNote,
        public string $from,
        public string $theme,
        public string $kindOfSetup,
        public ?Side $side,
        public string $standing,
        public ?Relation $relation,
        public ?string $lastClose,
        public ?string $change,
        public int $levelCount,
        public array $closes,
        public array $levels,
        public string $setupNote,
        public array $variants,
    ) {
    }
}
