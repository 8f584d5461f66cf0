<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\DamageBook;
use App\Floor\Model\Card;
use App\Floor\Model\Damage;
use App\Floor\Show\ShowDamage;
use App\Floor\Show\View\DamageMapView;
use App\Shared\Http\Api;
use App\Shared\Http\RoomRequest;
use Illuminate\Http\JsonResponse;

/** The damage map of each aircraft. */
final class DamageController
{
    #[Api('damageMap', DamageMapView::class, 'The damage map of an aircraft')]
    public function show(string $mark, DamageMapRequest $request, ShowDamage $read): JsonResponse
    {
        return new JsonResponse($read->of($mark, $request->person(), $request->card()));
    }

    #[Api('enterDamage', DamageMapView::class, 'The map with it', 201)]
    public function enter(int $id, DamageRequest $request, DamageBook $book, ShowDamage $read): JsonResponse
    {
        $card = Card::with('aircraft', 'steps')->findOrFail($id);

        return $this->map($book->add($request->person(), $card, $request->damage()), $request, $read, 201);
    }

    #[Api('lookAtDamage', DamageMapView::class, 'The map with the look')]
    public function look(int $id, LookAtDamageRequest $request, DamageBook $book, ShowDamage $read): JsonResponse
    {
        $damage = $book->look(
            $request->person(),
            $id,
            $request->card(),
            $request->size(),
            trim($request->string('note')->value()),
        );

        return $this->map($damage, $request, $read);
    }

    #[Api('sameDamage', DamageMapView::class, 'The map with the look')]
    public function same(int $id, SameDamageRequest $request, DamageBook $book, ShowDamage $read): JsonResponse
    {
        return $this->map($book->same($request->person(), $id, $request->card()), $request, $read);
    }

    #[Api('settleDamage', DamageMapView::class, 'The map without it among the open ones')]
    public function settle(int $id, SettleDamageRequest $request, DamageBook $book, ShowDamage $read): JsonResponse
    {
        $damage = $book->settle(
            $request->person(),
            $id,
            $request->string('how')->value(),
            trim($request->string('note')->value()),
        );

        return $this->map($damage, $request, $read);
    }

    private function map(Damage $damage, RoomRequest $request, ShowDamage $read, int $status = 200): JsonResponse
    {
        $card = $request->input('card') === null ? null : $request->integer('card');

        return new JsonResponse($read->of($damage->craft->mark, $request->person(), $card), $status);
    }
}
