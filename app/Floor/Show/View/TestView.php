<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A functional test of a card: what holds while it goes on, and every attempt at it. */
#[OA\Schema]
final readonly class TestView
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public string $system,
        #[OA\Property] public string $sentence,
        #[OA\Property(description: 'an attempt goes on')] public bool $running,
        #[OA\Property(description: 'it goes on and may be broken off')] public bool $mayBreakOff,
        #[OA\Property(description: 'the last attempt is over and did not pass')] public bool $mayAnew,
        #[OA\Property(description: 'the words that mean stop')] public ?string $stop,
        /** @var list<string> the limits that are watched meanwhile */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $limits,
        /** @var list<LimitRuleView> of them, those with a table */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LimitRuleView::class))] public array $tables,
        /** @var list<string> what is inspected once it was broken off */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $inspect,
        #[OA\Property(description: 'of the step that gives the verdict')] public int $verdictStep,
        /** @var list<AttemptView> the last one first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AttemptView::class))] public array $attempts,
        #[OA\Property(description: 'finding of the last failure, with its fault tree')] public ?int $finding,
    ) {}
}
