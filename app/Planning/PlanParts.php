<?php

declare(strict_types=1);

namespace App\Planning;

use App\Enums\PartRole;
use App\Enums\PlanKind;
use App\Models\AuthorSetting;
use App\Models\Tier;
use App\Models\User;
use Illuminate\Support\Str;

/**
 * The texts that a plan of a kind begins with, and those that every edition of an author must hold; both are the author's to
 * set.
 *
 * @phpstan-type PartState array{id: string, role: string, title: string, text: string, place: string, readers: string}
 */
final readonly class PlanParts
{
    public const NAME = 'plan_parts';
    public const BEFORE = 'before';
    public const AFTER = 'after';
    public const MOST = 20;

    private const USUAL = [
        'daily' => [['The session ahead', self::BEFORE]],
        'weekly' => [['The week behind', self::BEFORE], ['The week ahead', self::BEFORE], ['What would change this plan', self::AFTER]],
        'before_open' => [['Overnight', self::BEFORE]],
        'single' => [['The instrument', self::BEFORE]],
        'review' => [['What happened', self::BEFORE], ['What it teaches', self::AFTER]],
    ];
    private const DISCLAIMER = 'This is teaching, not advice. Every setup can lose its full risk, and more on a gap. Nothing here knows your circumstances.';

    /**
     * @param array<string, list<array{title: string, place: string}>> $titles   by kind of plan
     * @param string                                                   $disclaimer that a new plan begins with
     * @param list<PartRole>                                           $required
     */
    private function __construct(public array $titles, public string $disclaimer, public array $required)
    {
    }

    public static function of(User $author): self
    {
        /** @var array{titles?: array<string, list<array{title: string, place: string}>>, disclaimer?: string, required?: list<string>} $kept */
        $kept = AuthorSetting::query()->where(['author_id' => $author->id, 'name' => self::NAME])->first()->value ?? [];
        $usual = array_map(static fn (array $parts): array => array_map(static fn (array $part): array => ['title' => $part[0], 'place' => $part[1]], $parts), self::USUAL);

        return new self(
            ($kept['titles'] ?? []) + $usual,
            $kept['disclaimer'] ?? self::DISCLAIMER,
            array_map(PartRole::from(...), $kept['required'] ?? [PartRole::Disclaimer->value]),
        );
    }

    /** @return list<PartState> of a new plan */
    public function begin(PlanKind $kind): array
    {
        $parts = array_map(static fn (array $part): array => self::blank(PartRole::Text, $part['title'], $part['place']), $this->titles[$kind->value] ?? []);
        foreach ($this->required as $role) {
            $parts[] = ['text' => $role === PartRole::Disclaimer ? $this->disclaimer : ''] + self::blank($role, $role->label(), self::AFTER);
        }

        return $parts;
    }

    /** @return PartState */
    public static function blank(PartRole $role, string $title, string $place): array
    {
        return ['id' => Str::lower(Str::random(8)), 'role' => $role->value, 'title' => $title, 'text' => '', 'place' => $place, 'readers' => Tier::VISITORS];
    }
}
