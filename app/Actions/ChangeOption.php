<?php

declare(strict_types=1);

namespace App\Actions;

use App\Planning\OptionTerms;
use App\Planning\Variant;
use Brick\Math\BigDecimal;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Sizing\OptionPosition;
use Watchpost\Core\Sizing\OptionRight;
use Watchpost\Core\Sizing\OptionShape;

/** Plans the idea of a setup in options too, or takes that away. */
final class ChangeOption
{
    /**
     * @param array{shape: OptionShape, right: OptionRight, expiry: string, multiplier: string, strikes: list<string>, premiums: list<string>}|null $terms decimals as typed
     */
    public function __invoke(Variant $variant, ?array $terms): void
    {
        $setup = $variant->setup() ?? throw ValidationException::withMessages(['option' => 'Plan the setup first: the option stands beside its entry, stop and targets.']);
        $state = $terms === null ? null : self::read($terms, $variant->candidate->plan->session_date)->toState();
        $variant->change(($state === null ? 'take away the option' : 'the option')." of {$variant->candidate->instrument->symbol}", static fn () => $setup->update(['option' => $state]));
    }

    /** @param array{shape: OptionShape, right: OptionRight, expiry: string, multiplier: string, strikes: list<string>, premiums: list<string>} $terms */
    private static function read(array $terms, string $session): OptionTerms
    {
        $legs = count($terms['shape']->strikeNames());
        $strikes = array_map(BigDecimal::of(...), array_slice($terms['strikes'], 0, $legs));
        $premiums = array_map(BigDecimal::of(...), array_slice($terms['premiums'], 0, $legs));
        $multiplier = BigDecimal::of($terms['multiplier']);
        $messages = [];
        foreach (OptionPosition::problems($terms['shape'], $strikes, $premiums, $multiplier) as $problem) {
            $messages["option.{$problem->path}"] = $problem->message;
        }
        if ($terms['expiry'] < $session) {
            $messages['option.expiry'] = "It expires before the session of the plan, {$session}.";
        }
        if ($messages !== []) {
            throw ValidationException::withMessages($messages);
        }

        return new OptionTerms(OptionPosition::of($terms['shape'], $terms['right'], $strikes, $premiums, $multiplier), $terms['expiry']);
    }
}
