<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Fleet\Model\Aircraft;
use App\Floor\FloorWords;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Floor\Show\View\NotWholeView;
use App\Floor\Show\View\ProofOfferView;
use App\Library\Model\CardTemplate;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Floor\ProofOffer;
use Jorvel\Core\Floor\ShortestProof;
use Jorvel\Core\Now\Disturbance;
use Jorvel\Core\Now\NotWhole;
use Jorvel\Core\Now\OnAircraft;

/** What is not whole on an aircraft, and the least work by which it is proven. */
final readonly class ShowProofs
{
    public function __construct(private Clock $clock) {}

    /** @return list<NotWholeView> */
    public function open(OnAircraft $on): array
    {
        return array_map($this->view(...), $on->notWhole());
    }

    private function view(NotWhole $n): NotWholeView
    {
        $line = fn(Disturbance $d): string => substr(
            FloorWords::disturbed($d, $this->clock->local($d->at)),
            strlen($d->what) + 2,
        );

        return new NotWholeView(
            $n->what,
            $n->joined === null,
            ucfirst(FloorWords::notWhole($n)).'.',
            [
                ...array_map(
                    static fn(Disturbance $d): string => $line($d).' (from before, and no proof now)',
                    $n->before,
                ),
                $line($n->last),
                ...$n->joined === null || $n->joined === $n->last ? [] : [$line($n->joined)],
                ...array_map($line, $n->proven),
            ],
            array_map(FloorWords::proof(...), $n->missing),
            "/floor/{$n->last->card->id}".($n->last->step === null ? '' : "?step={$n->last->step}"),
        );
    }

    /**
     * The shortest set of cards that proves what is open: those that stand on the aircraft's visits already, then those
     * that Library has.
     *
     * @return list<ProofOfferView>
     */
    public function offers(Aircraft $aircraft, OnAircraft $on): array
    {
        $open = $on->notWhole();
        if ($open === []) {
            return [];
        }
        [$offers, $views] = [[], []];
        foreach ($this->cards($aircraft) as $card) {
            $id = "card {$card->id}";
            $proves = self::proves($card->steps->filter(static fn(Step $s): bool => ! $s->settled())
                ->map(static fn(Step $s): array => $s->spec)->all());
            $offers[] = new ProofOffer($id, 0.0, $proves);
            $views[$id] = fn(string $said): ProofOfferView => new ProofOfferView(
                "Card {$card->number}, {$card->title}",
                "/floor/{$card->id}",
                null,
                0.0,
                $said,
            );
        }
        foreach ($this->templates($aircraft) as $template) {
            $id = "template {$template->id}";
            $proves = self::proves(array_column($template->expanded(), 'spec'));
            $offers[] = new ProofOffer($id, $template->hours, $proves);
            $views[$id] = fn(string $said): ProofOfferView => new ProofOfferView(
                "{$template->code}, {$template->title}",
                null,
                $template->id,
                $template->hours,
                $said,
            );
        }
        $missing = array_column(array_map(
            static fn(NotWhole $n): array => ['what' => $n->what, 'missing' => $n->missing],
            $open,
        ), 'missing', 'what');
        $byId = array_column($offers, null, 'id');

        return array_map(
            static fn(string $id): ProofOfferView => $views[$id](self::said($byId[$id], $missing)),
            ShortestProof::among($open, $offers),
        );
    }

    /** @return iterable<Card> not worked yet, with steps that prove something */
    private function cards(Aircraft $aircraft): iterable
    {
        return Card::with('steps')->where('aircraft_id', $aircraft->id)
            ->whereIn('state', [Card::OPEN, Card::IN_WORK])
            ->whereHas('steps', static fn($q) => $q->where('state', Step::OPEN->value)
                ->where('spec', 'like', '%"proves"%'))
            ->orderBy('id')->get();
    }

    /** @return iterable<CardTemplate> */
    private function templates(Aircraft $aircraft): iterable
    {
        return CardTemplate::where('type_id', $aircraft->type_id)->where('steps', 'like', '%"proves"%')
            ->orderBy('code')->get();
    }

    /**
     * @param array<array-key, array<string, mixed>> $specs
     *
     * @return array<string, list<Proof>>
     */
    private static function proves(array $specs): array
    {
        $proves = [];
        foreach ($specs as $spec) {
            foreach (Handling::of($spec)->proves ?? [] as $p) {
                foreach ($p['of'] as $what) {
                    $proves[$what][] = $p['by'];
                }
            }
        }

        return $proves;
    }

    /** @param array<string, list<Proof>> $missing */
    private static function said(ProofOffer $offer, array $missing): string
    {
        $said = [];
        foreach ($missing as $what => $proofs) {
            $of = $offer->proves[$what] ?? [];
            $given = array_filter($proofs, static fn(Proof $p): bool => in_array($p, $of, true));
            if ($given !== []) {
                $said[] = Words::list(array_values(array_map(FloorWords::proof(...), $given)))." of {$what}";
            }
        }

        return implode('; ', $said);
    }
}
