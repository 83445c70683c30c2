<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AttachImage;
use App\Actions\ChangeParts;
use App\Actions\KeepSetting;
use App\Data\ReferenceData;
use App\Enums\PartRole;
use App\Enums\PlanKind;
use App\Models\Attachment;
use App\Models\Edition;
use App\Models\Plan;
use App\Planning\CurrentPlan;
use App\Planning\PlanParts;
use App\Publishing\EditionReader;
use App\Publishing\EditionTexts;
use App\Publishing\PublicationCheck;
use App\Publishing\References;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The texts of a plan, the pictures in them, and what they can name. */
final class PlanTextController extends Controller
{
    public function __construct(private readonly CurrentPlan $current, private readonly ChangeParts $parts)
    {
    }

    public function add(Request $request): RedirectResponse
    {
        $request->validate([
            'title' => ['required', 'string', 'max:80'],
            'role' => ['required', Rule::enum(PartRole::class)],
            'place' => ['required', Rule::in([PlanParts::BEFORE, PlanParts::AFTER])],
        ], ['title.required' => 'Write a title.']);
        $this->parts->add($this->plan($request), $request->enum('role', PartRole::class) ?? PartRole::Text, $request->string('title')->value(), $request->string('place')->value());

        return back();
    }

    public function write(Request $request, string $part): RedirectResponse
    {
        /** @var array{title?: string, text?: string, place?: string, readers?: string, was?: string} $given */
        $given = $request->validate([
            'title' => ['sometimes', 'required', 'string', 'max:80'],
            'text' => ['sometimes', 'present', 'nullable', 'string', 'max:20000'],
            'was' => ['sometimes', 'present', 'nullable', 'string', 'max:20000'],
            'place' => ['sometimes', Rule::in([PlanParts::BEFORE, PlanParts::AFTER])],
            'readers' => ['sometimes', Rule::exists('tiers', 'key')],
        ], ['title.required' => 'Write a title.', 'text.max' => 'A text has at most 20,000 letters. Nothing was lost: shorten it and go on.']);
        $was = array_key_exists('was', $given) ? (string) $given['was'] : null;
        unset($given['was']);
        if (array_key_exists('text', $given)) {
            $given['text'] = (string) $given['text'];
        }
        $this->parts->write($this->plan($request), $part, $given, $was);

        return back();
    }

    public function move(Request $request, string $part): RedirectResponse
    {
        $request->validate(['by' => ['required', 'integer', 'between:-20,20']]);
        $this->parts->move($this->plan($request), $part, $request->integer('by'));

        return back();
    }

    public function remove(Request $request, string $part): RedirectResponse
    {
        $this->parts->remove($this->plan($request), $part);

        return back();
    }

    /** What a text can name, with what it says now. */
    public function references(Request $request, PublicationCheck $check, References $references): JsonResponse
    {
        $offers = $references->offers($check->sealed($this->plan($request)));

        return new JsonResponse(array_map(static fn (string $name, string $says): ReferenceData => new ReferenceData($name, $says), array_keys($offers), array_values($offers)));
    }

    public function attach(Request $request, AttachImage $attach): JsonResponse
    {
        $request->validate(['image' => ['required', 'image', 'mimes:png,jpg,jpeg,webp', 'max:4096']], ['image.*' => 'Choose a picture (PNG, JPEG or WebP) of at most 4 MB.']);
        $file = $request->file('image');
        abort_unless($file instanceof UploadedFile, 422);
        $image = $attach($this->author($request), $file);

        return new JsonResponse(['markdown' => "![{$image->name}](image:{$image->hash})"], 201);
    }

    public function image(Request $request, string $hash): StreamedResponse
    {
        return $this->picture(Attachment::query()->where(['hash' => $hash, 'author_id' => $this->author($request)->id])->firstOrFail());
    }

    /** A picture of an edition, for those who read the text it is in. */
    public function published(Request $request, Edition $edition, string $hash, EditionReader $editions, EditionTexts $texts): StreamedResponse
    {
        abort_unless($texts->shows($editions->document($edition), $this->reader($request), $hash), 404, 'There is no such picture here.');

        return $this->picture(Attachment::query()->where('hash', $hash)->firstOrFail());
    }

    /** The texts that a kind of plan begins with, and those that every edition must hold. */
    public function settings(Request $request, KeepSetting $keep): RedirectResponse
    {
        /** @var array{titles: array<string, list<array{title: string, place: string}>>, disclaimer: string|null, required: list<string>} $given */
        $given = $request->validate([
            'titles' => ['required', 'array:'.implode(',', array_column(PlanKind::cases(), 'value'))],
            'titles.*' => ['present', 'array', 'max:10'],
            'titles.*.*.title' => ['required', 'string', 'max:80'],
            'titles.*.*.place' => ['required', Rule::in([PlanParts::BEFORE, PlanParts::AFTER])],
            'disclaimer' => ['present', 'nullable', 'string', 'max:2000'],
            'required' => ['present', 'array'],
            'required.*' => [Rule::in([PartRole::Disclaimer->value, PartRole::Holdings->value, PartRole::Sponsorship->value])],
        ], ['titles.*.*.title' => 'Write a title.']);
        $keep($this->author($request), PlanParts::NAME, ['disclaimer' => (string) $given['disclaimer']] + $given);

        return back();
    }

    private function picture(Attachment $image): StreamedResponse
    {
        return Storage::disk('local')->response($image->path(), $image->name, ['Content-Type' => $image->type, 'Cache-Control' => 'private, max-age=31536000, immutable', 'Content-Security-Policy' => "default-src 'none'; sandbox"]);
    }

    private function plan(Request $request): Plan
    {
        return $this->current->of($this->author($request));
    }
}
