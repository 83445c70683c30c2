<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\Sees;
use App\Models\Tier;
use App\Subscribers\Tiers;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Makes a new tier above another one, or changes what one is called and sees. */
final readonly class DefineTier
{
    public function __construct(private Tiers $tiers)
    {
    }

    /**
     * @param Tier|null   $tier  null for a new one
     * @param string|null $after key of the tier below a new one
     */
    public function __invoke(?Tier $tier, string $name, Sees $sees, ?int $opensAfterHours, ?string $after = null): Tier
    {
        $name = trim($name);
        if (Tier::query()->where('name', $name)->whereKeyNot($tier->id ?? 0)->exists()) {
            throw ValidationException::withMessages(['name' => "There is a tier \"{$name}\" already."]);
        }
        $says = ['name' => $name, 'sees' => $sees, 'opens_after_hours' => $opensAfterHours];
        $tier === null ? $tier = $this->add($says, $after) : $tier->update($says);
        $this->tiers->forget();

        return $tier;
    }

    /** @param array{name: string, sees: Sees, opens_after_hours: int|null} $says */
    private function add(array $says, ?string $after): Tier
    {
        return DB::transaction(static function () use ($says, $after): Tier {
            $below = Tier::query()->where('key', $after)->first() ?? Tier::query()->orderByDesc('rank')->firstOrFail();
            foreach (Tier::query()->where('rank', '>', $below->rank)->orderByDesc('rank')->get() as $higher) {
                $higher->update(['rank' => $higher->rank + 1]);
            }
            $base = Str::slug($says['name']) ?: 'tier';
            $key = $base;
            for ($i = 2; Tier::query()->where('key', $key)->exists(); ++$i) {
                $key = "{$base}-{$i}";
            }

            return Tier::query()->create(['key' => $key, 'rank' => $below->rank + 1] + $says);
        });
    }
}
