<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Watchpost\Core\Setups\Template;

/**
 * An author's own kind of setup: its name, its defaults, and what is checked of each of its setups.
 *
 * @phpstan-import-type TemplateState from Template
 *
 * @property int                                       $id
 * @property int                                       $author_id
 * @property string                                    $name
 * @property TemplateState|null                        $template
 * @property list<array{kind: string, value: string}>  $checklist  the kind "own" is ticked by a person, and its value are the words
 * @property int|null                                  $retired_at
 */
class SetupKind extends Model
{
    /** A line that only a person can judge. */
    public const OWN = 'own';

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['template' => 'array', 'checklist' => 'array'];
    }

    /** @return Builder<self> those in use, by name */
    public static function of(User $author): Builder
    {
        return self::query()->where('author_id', $author->id)->whereNull('retired_at')->orderBy('name');
    }
}
