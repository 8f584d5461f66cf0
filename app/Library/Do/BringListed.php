<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Model\ListedRevision;
use App\Library\LibraryWords;
use App\Library\Show\View\AskedView;
use App\Library\Show\View\ChangeView;
use App\Shared\Clock;
use Jorvel\Core\Library\Differences;

/**
 * A revision of what may be carried: each item that differs gets a newer version. What is carried goes on by the
 * version under which it was deferred.
 */
final readonly class BringListed
{
    public function __construct(private Clock $clock) {}

    public function compare(ListedFile $file): Compared
    {
        $present = ListedItem::inForce($file->type->id)->get()->keyBy('code');
        $carried = Deferral::with('aircraft:id,mark', 'finding:id,number', 'listedItem')->where('state', Deferral::OPEN)
            ->whereIn('listed_item_id', $present->modelKeys())->get()
            ->groupBy('listedItem.code');
        $changes = $asked = [];
        foreach ($file->items as $code => $body) {
            $old = $present->get($code);
            $of = "{$code} {$body['title']}";
            $news = $old === null
                ? [new ChangeView($of, 'new item', '', LibraryWords::value($body))]
                : array_map(static fn(array $d): ChangeView => new ChangeView(
                    $of,
                    str_replace('_', ' ', $d['at']),
                    LibraryWords::value($d['was']),
                    LibraryWords::value($d['is']),
                ), Differences::between($old->body, $body));
            $changes = [...$changes, ...$news];
            foreach ($news === [] ? [] : $carried->get($code, []) as $deferral) {
                $asked[] = new AskedView(
                    $of,
                    "{$deferral->finding->number} on {$deferral->aircraft->mark} is carried under version "
                        ."{$old?->version} and goes on by it. Say so to whoever plans its closure.",
                );
            }
        }

        return new Compared($changes, [], $asked, array_values($present->except([])
            ->reject(static fn(ListedItem $i): bool => isset($file->items[$i->code]))
            ->map(static fn(ListedItem $i): string => "{$i->code} {$i->title}")->all()));
    }

    public function apply(Person $by, ListedFile $file): void
    {
        $latest = ListedItem::where('type_id', $file->type->id)->orderBy('version')->get()->keyBy('code');
        ListedRevision::create([
            'type_id' => $file->type->id, 'revision' => $file->revision, 'issued' => (string) $file->issued,
            'summary' => $file->summary, 'person_id' => $by->id, 'at' => (string) $this->clock->now(),
        ]);
        foreach ($file->items as $code => $body) {
            $old = $latest->get($code);
            if ($old?->state === ListedItem::IN_FORCE && Differences::between($old->body, $body) === []) {
                continue;
            }
            $old?->update(['state' => ListedItem::SUPERSEDED]);
            ListedItem::create(ListedItem::row($file->type->id, $body, $file->revision, ($old->version ?? 0) + 1));
        }
    }
}
