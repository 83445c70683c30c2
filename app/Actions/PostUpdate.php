<?php

declare(strict_types=1);

namespace App\Actions;

use App\Clock\MarketClock;
use App\Enums\DeliverySubject;
use App\Jobs\DispatchDeliveries;
use App\Models\PublishedSetup;
use App\Models\Update;
use App\Models\User;
use App\Planning\PriceInput;
use App\Publishing\EditionReader;
use App\Record\Runs;
use App\Record\SetupEvaluator;
use App\Record\Updates;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Setups\UpdateKind;

/**
 * Says or changes something about a published setup, for everyone who reads it, at the moment at which it is done. What
 * was sealed stays as it is: the record follows the setup as published, and as managed beside it.
 */
final readonly class PostUpdate
{
    public function __construct(
        private MarketClock $clock,
        private EditionReader $editions,
        private Runs $runs,
        private SetupEvaluator $evaluator,
        private OutcomeEngine $engine,
    ) {
    }

    /**
     * @param string $price as typed, of a move
     * @param string $share as typed, in percent of what is open
     * @param string $text  the author's own words
     */
    public function __invoke(PublishedSetup $published, User $by, UpdateKind $kind, string $price = '', ?int $number = null, string $share = '', string $text = ''): Update
    {
        $text = trim($text);
        if ($kind === UpdateKind::Note && $text === '') {
            throw ValidationException::withMessages(['text' => 'Write what is to be said.']);
        }
        $grid = $published->instrument->grid();
        $isMove = $kind === UpdateKind::MoveStop || $kind === UpdateKind::MoveTarget;

        return DB::transaction(function () use ($published, $by, $kind, $price, $number, $share, $text, $grid, $isMove): Update {
            $this->evaluator->evaluate($published);
            $update = new Update([
                'published_setup_id' => $published->id,
                'author_id' => $by->id,
                'at' => $this->clock->moment(),
                'kind' => $kind,
                'price' => $isMove ? $grid->format((new PriceInput($grid))->price($price, 'price')) : null,
                'number' => $kind === UpdateKind::MoveTarget ? $number : null,
                'share' => $kind === UpdateKind::Exit ? self::share($share) : null,
                'text' => $text,
            ]);
            $this->check($published->refresh()->loadMissing(['edition', 'instrument', 'outcome', 'managed']), $update);
            $update->save();
            $this->evaluator->evaluate($published);
            DispatchDeliveries::dispatch(DeliverySubject::Update, $update->id);

            return $update;
        });
    }

    /** @throws ValidationException */
    private function check(PublishedSetup $published, Update $update): void
    {
        $row = $published->managed ?? $published->outcome ?? throw new \LogicException('A published setup is followed from its publication on.');
        $sealed = $this->editions->setup($published->edition, $published->key);
        [$run] = $this->runs->told($published, $sealed, $row);
        try {
            $this->engine->try($run, Updates::read($update->toRules(), $sealed->grid, 'new'));
        } catch (InvalidInput $fault) {
            $field = substr((string) strrchr($fault->path, '.'), 1);
            throw ValidationException::withMessages([$field => 'This update '.rtrim($fault->getMessage(), '.').'.']);
        }
    }

    /** @throws ValidationException */
    private static function share(string $percent): string
    {
        if (preg_match('/^\d{1,3}$/D', trim($percent)) !== 1 || (int) $percent < 1 || (int) $percent > 100) {
            throw ValidationException::withMessages(['share' => 'Write how much of what is open is taken off, in whole percent from 1 to 100.']);
        }

        return (int) $percent === 100 ? '1' : sprintf('0.%02d', (int) $percent);
    }
}
