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
 * @phpstan-import-type SetupPart from EditionComposer
 */
final class EditionReader
{
    /** The document read last, with its seal: the setups of an edition are read one after the other. */
    private ?string $seal = null;

    /** @var Document|null */
    private ?array $document = null;

    /**
     * @return Document
     *
     * @throws BrokenSeal
     */
    public function document(Edition $edition): array
    {
        $seal = Seal::of($edition->document);
        if (! hash_equals($edition->seal, $seal)) {
            throw BrokenSeal::of($edition->number);
        }
        if ($this->document === null || $this->seal !== $seal) {
            /** @var Document $document */
            $document = json_decode($edition->document, true, 64, JSON_THROW_ON_ERROR);
            [$this->document, $this->seal] = [$document, $seal];
        }

        return $this->document;
    }

    /**
     * @throws BrokenSeal
     * @throws \OutOfBoundsException when the edition has no setup of that key
     */
    public function setup(Edition $edition, string $key): SealedSetup
    {
        $document = $this->document($edition);
        foreach ($document['candidates'] as $candidate) {
            foreach ($candidate['setups'] ?? [] as $setup) {
                if ($setup['key'] === $key) {
                    return $this->read($document, $candidate, $setup);
                }
            }
        }
        throw new \OutOfBoundsException("Edition {$edition->number} has no setup {$key}.");
    }

    /**
     * A setup of a candidate, as the engine judges it and a preview shows it.
     *
     * @param Document      $document
     * @param CandidatePart $candidate
     * @param SetupPart     $setup
     */
    public function read(array $document, array $candidate, array $setup): SealedSetup
    {
        $grid = PriceGrid::withTick($candidate['instrument']['decimals'], $candidate['instrument']['tick']);
        $base = TimeFrame::from($document['judged_on']);

        return new SealedSetup(
            SetupReader::read(Node::of($setup['rules'], 'setup'), $grid, $base, grouped: true),
            $grid,
            new Costs($document['costs']['slippage_ticks'], BigDecimal::of($document['costs']['commission_per_unit'])),
            $base,
            $setup['name'] ?? '',
            $setup['sentence'],
        );
    }
}
