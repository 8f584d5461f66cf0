<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Library\LibraryWords;
use App\Library\Model\CardTemplate;
use App\Library\Model\CardVersion;
use App\Library\Show\View\ChangeView;
use App\Shared\Refused;
use Jorvel\Core\Library\Differences;

/** A set of cards that is brought in becomes a set of drafts: a second person checks them like any other. */
final readonly class BringCards
{
    public function __construct(private CardDesk $desk) {}

    /** @throws Refused where one of them has a draft already */
    public function compare(TemplateFile $file): Compared
    {
        $present = CardTemplate::with('manual')->where('type_id', $file->type->id)->get()->keyBy('code');
        $changes = $bad = [];
        foreach ($file->cards as $card) {
            $old = $present->get($card['code']);
            $differ = $old === null ? null : self::differences($old, $card);
            if ($differ === []) {
                continue;
            }
            if (CardVersion::openOf($file->type->id, $card['code']) !== null) {
                $bad[] = [
                    'line' => $card['code'],
                    'message' => 'has a draft already; bring that in force or discard it',
                ];
            }
            if ($differ === null) {
                $changes[] = new ChangeView(
                    "{$card['code']} {$card['title']}",
                    'new card',
                    '',
                    count($card['steps']).' steps',
                );
            }
            foreach ($differ ?? [] as $d) {
                $changes[] = new ChangeView(
                    "{$card['code']} {$card['title']}",
                    str_replace('_', ' ', $d['at']),
                    LibraryWords::value($d['was']),
                    LibraryWords::value($d['is']),
                );
            }
        }

        return $bad === [] ? new Compared($changes, []) : throw Refused::file($bad, 'card');
    }

    /** Cards that are as they stand are left alone. */
    public function apply(Person $by, TemplateFile $file, string $name): void
    {
        $present = CardTemplate::with('manual')->where('type_id', $file->type->id)->get()->keyBy('code');
        foreach ($file->cards as $card) {
            $old = $present->get($card['code']);
            if ($old === null || self::differences($old, $card) !== []) {
                $this->desk->save($by, $file->type, $card, "brought in from {$name}", null);
            }
        }
    }

    /**
     * @param array<string, mixed> $card
     *
     * @return list<array{at: string, was: mixed, is: mixed}>
     */
    private static function differences(CardTemplate $old, array $card): array
    {
        // Both through the same row, so that what is only left out at its default is no difference.
        $row = static fn(array $body): array => array_intersect_key(
            TemplateFile::row($body, $old->type_id),
            $body + TemplateFile::body($old),
        );

        return Differences::between($row(TemplateFile::body($old)), $row($card));
    }
}
