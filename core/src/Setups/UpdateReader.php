<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;

/** Reads updates, in the order in which they act: by their moment, equal ones as given. */
final class UpdateReader
{
    /**
     * @return list<Update>
     *
     * @throws InvalidInput
     */
    public static function read(Node $node, PriceGrid $grid): array
    {
        $updates = array_map(static fn (Node $one): Update => self::one($one, $grid), $node->list());
        usort($updates, static fn (Update $a, Update $b): int => $a->at <=> $b->at);

        return $updates;
    }

    /** @throws InvalidInput */
    public static function one(Node $node, PriceGrid $grid): Update
    {
        $kind = UpdateKind::from($node->key('kind')->choice(array_column(UpdateKind::cases(), 'value')));
        $keys = $node->object(['at', 'kind', ...match ($kind) {
            UpdateKind::MoveStop => ['price'],
            UpdateKind::MoveTarget => ['number', 'price'],
            UpdateKind::Exit => ['share'],
            default => [],
        }], $kind === UpdateKind::Note ? ['text'] : []);
        if (isset($keys['text'])) {
            $keys['text']->text();
        }
        $share = isset($keys['share']) ? $keys['share']->decimal() : null;
        if ($share !== null && ($share->isNegativeOrZero() || $share->isGreaterThan(1))) {
            throw $keys['share']->fail('must be above 0 and at most 1');
        }

        return new Update(
            $keys['at']->time(),
            $kind,
            $node->path,
            isset($keys['price']) ? PriceReader::setupPrice($keys['price'], $grid) : null,
            isset($keys['number']) ? $keys['number']->int(min: 1) : null,
            $share,
        );
    }
}
