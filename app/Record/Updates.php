<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\PublishedSetup;
use App\Models\Update;
use App\Publishing\EditionReader;
use Illuminate\Database\Eloquent\Collection;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Update as CoreUpdate;
use Watchpost\Core\Setups\UpdateKind;
use Watchpost\Core\Setups\UpdateReader;

/** The updates of published setups as the engine applies them. */
final readonly class Updates
{
    private const PATH = 'updates';

    public function __construct(private EditionReader $editions)
    {
    }

    /**
     * @param Collection<int, PublishedSetup> $members
     *
     * @return list<list<CoreUpdate>> of each member in order; an empty list when none of them has one that could change a result
     */
    public function acting(Collection $members): array
    {
        $all = Update::query()->whereIn('published_setup_id', $members->modelKeys())->whereNull('refused_because')->orderBy('at')->orderBy('id')->get();
        if ($all->every(static fn (Update $update): bool => $update->kind === UpdateKind::Note)) {
            return [];
        }

        return array_values($members->map(function (PublishedSetup $member) use ($all): array {
            $grid = $this->editions->setup($member->edition, $member->key)->grid;

            return array_values($all->where('published_setup_id', $member->id)->map(static fn (Update $update): CoreUpdate => self::read($update->toRules(), $grid, (string) $update->id))->all());
        })->all());
    }

    /**
     * @param array<string, string|int> $rules
     * @param string                    $name  by which a fault finds it again
     *
     * @throws InvalidInput
     */
    public static function read(array $rules, PriceGrid $grid, string $name): CoreUpdate
    {
        return UpdateReader::one(Node::of($rules, self::PATH.".{$name}"), $grid);
    }

    /**
     * Marks the update that a fault names as one that had no effect.
     *
     * @throws InvalidInput when the fault is none of an update
     */
    public function refuse(InvalidInput $fault): void
    {
        if (preg_match('/^'.self::PATH.'\.(\d+)\./', $fault->path, $of) !== 1) {
            throw $fault;
        }
        Update::query()->findOrFail((int) $of[1])->update(['refused_because' => $fault->getMessage()]);
    }
}
