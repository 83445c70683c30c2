<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Edition;
use App\Record\SealedSetup;
use Brick\Math\BigDecimal;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Outcomes\Costs;
use Watchpost\Core\Setups\SetupReader;

/**
 * Reads sealed editions. Nothing is read from a document that does not match its seal.
 *
 * @phpstan-import-type Document from EditionComposer
 * @phpstan-import-type CandidatePart from EditionComposer
 */
final class EditionReader
{
    /**
     * @return Document
     *
     * @throws BrokenSeal
     */
    public function document(Edition $edition): array
    {
        if (! hash_equals($edition->seal, Seal::of($edition->document))) {
            throw BrokenSeal::of($edition->number);
        }
        /** @var Document */
        return json_decode($edition->document, true, 64, JSON_THROW_ON_ERROR);
    }

    /**
     * @throws BrokenSeal
     * @throws \OutOfBoundsException when the edition has no setup of that key
     */
    public function setup(Edition $edition, string $key): SealedSetup
    {
        $document = $this->document($edition);
        foreach ($document['candidates'] as $candidate) {
            if (isset($candidate['setup']) && $candidate['setup']['key'] === $key) {
                return $this->sealed($document, $candidate);
            }
        }
        throw new \OutOfBoundsException("Edition {$edition->number} has no setup {$key}.");
    }

    /**
     * @param Document      $document
     * @param CandidatePart $candidate
     */
    private function sealed(array $document, array $candidate): SealedSetup
    {
        if (! isset($candidate['setup'])) {
            throw new \LogicException('A candidate without a setup cannot be judged.');
        }
        $decimals = $candidate['instrument']['decimals'];
        $grid = new PriceGrid($decimals, (new PriceGrid($decimals))->units($candidate['instrument']['tick']) ?? 1);

        return new SealedSetup(
            SetupReader::read(Node::of($candidate['setup']['rules'], 'setup'), $grid),
            $grid,
            new Costs($document['costs']['slippage_ticks'], BigDecimal::of($document['costs']['commission_per_unit'])),
            TimeFrame::from($document['judged_on']),
            $candidate['setup']['sentence'],
        );
    }
}
