<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddVariant;
use App\Actions\ChangeOption;
use App\Actions\ChangeSetup;
use App\Actions\RemoveVariant;
use App\Actions\TieVariants;
use App\Actions\UsePrice;
use App\Enums\PlanPrice;
use App\Http\Requests\OptionRequest;
use App\Http\Requests\SetupRequest;
use App\Market\BarRepository;
use App\Models\Candidate;
use App\Planning\PriceInput;
use App\Planning\Workbench;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Watchpost\Core\Setups\VariantKind;

/** The setups of a candidate, changed one by one on the workbench. */
final class SetupController extends Controller
{
    public function __construct(private readonly Workbench $bench, private readonly BarRepository $bars)
    {
    }

    public function usePrice(Request $request, Candidate $candidate, UsePrice $use): JsonResponse
    {
        $this->authorize('update', $candidate);
        $request->validate(['price' => ['required', 'string', 'max:30'], 'as' => ['required', Rule::enum(PlanPrice::class)]]);
        $price = $this->prices($request, $candidate)->price($request->string('price')->value(), 'price');
        $use(Workbench::variant($candidate, $request), $price, PlanPrice::from($request->string('as')->value()));

        return $this->answer($candidate, $request);
    }

    public function change(SetupRequest $request, Candidate $candidate, ChangeSetup $change): JsonResponse
    {
        $this->authorize('update', $candidate);
        $change(Workbench::variant($candidate, $request), $request->changes(), $this->prices($request, $candidate));

        return $this->answer($candidate, $request);
    }

    public function clear(Request $request, Candidate $candidate, RemoveVariant $remove): JsonResponse
    {
        $this->authorize('update', $candidate);
        $remove(Workbench::variant($candidate, $request));

        return $this->answer($candidate, $request);
    }

    /** Add a variant, made from the one in hand; the answer has the new one in hand. */
    public function add(Request $request, Candidate $candidate, AddVariant $add): JsonResponse
    {
        $this->authorize('update', $candidate);
        $request->validate(['kind' => ['required', Rule::enum(VariantKind::class)]]);
        $number = $add(Workbench::variant($candidate, $request), VariantKind::from($request->string('kind')->value()));

        return $this->answer($candidate, $request->merge(['variant' => $number]));
    }

    public function tie(Request $request, Candidate $candidate, TieVariants $tie): JsonResponse
    {
        $this->authorize('update', $candidate);
        $changes = $request->validate(['name' => ['sometimes', 'string', 'max:40'], 'either_or' => ['sometimes', 'boolean']]);
        $tie(Workbench::variant($candidate, $request), $changes);

        return $this->answer($candidate, $request);
    }

    /** The same idea in options, or no longer. */
    public function option(OptionRequest $request, Candidate $candidate, ChangeOption $change): JsonResponse
    {
        $this->authorize('update', $candidate);
        $change(Workbench::variant($candidate, $request), $request->terms());

        return $this->answer($candidate, $request);
    }

    private function answer(Candidate $candidate, Request $request): JsonResponse
    {
        return new JsonResponse($this->bench->of($candidate, $request));
    }

    private function prices(Request $request, Candidate $candidate): PriceInput
    {
        return new PriceInput($candidate->instrument->grid(), $this->bars->lastClose($candidate->instrument), $request->boolean(PriceInput::SURE));
    }
}
