<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Fleet\Do\FlyingLog;
use App\Fleet\Do\FlyingQuestions;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Sector;
use App\Fleet\Show\DueBook;
use App\Fleet\Show\DuePage;
use App\Fleet\Show\DueRow;
use App\Fleet\Show\ShowReach;
use App\Floor\Model\Card;
use App\Library\LibraryWords;
use App\Library\Model\Import;
use App\Library\Model\ImportKind;
use App\Library\Model\ImportState;
use App\Library\Model\ProgrammeItem;
use App\Library\Show\View\AskedView;
use App\Library\Show\View\ChangeView;
use App\Library\Show\View\ImportView;
use App\Now\CommitUnmoved;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Visits\Model\Visit;
use BackedEnum;
use Closure;
use Jorvel\Core\Shared\Day;

/**
 * Brings a programme, a manual's revision, flying or planned sectors in, in two moves: look (checked whole, nothing
 * saved) and apply (compared once more, then written in one transaction, which holds only if nobody wrote in between).
 *
 * The preview carries a fingerprint of what it was compared with; if that has changed by the time it is applied, it is
 * refused and looked at again.
 */
final readonly class BringIn
{
    public function __construct(
        private DueBook $book,
        private ShowReach $reach,
        private FlyingLog $log,
        private Clock $clock,
        private Records $records,
        private BringRevision $revisions,
        private FlyingQuestions $questions,
        private CommitUnmoved $commit,
        private BringCards $cards,
        private BringFollows $follows,
        private BringListed $listed,
    ) {}

    /** @throws Refused with every bad line; nothing is kept then */
    public function look(Person $by, ImportKind $kind, string $name, string $payload): ImportView
    {
        $compared = $this->compare($kind, $payload);
        $import = Import::create([
            'person_id' => $by->id,
            'kind' => $kind,
            'name' => $name,
            'payload' => $payload,
            'made_from' => $compared->print(),
            'state' => ImportState::Previewed,
        ]);

        return $this->view($import, $compared);
    }

    /**
     * @param bool $sure whoever applies it has seen what is asked about it
     *
     * @throws Refused when it was applied before, or the world has changed since the preview; or asks
     */
    public function apply(Person $by, Import $import, bool $sure = false): ImportView
    {
        return ($this->commit)(function () use ($by, $import, $sure): Closure {
            $compared = $this->requireSame($import, $sure);

            return function () use ($by, $import, $compared): ImportView {
                $this->write($by, $import, $compared);

                return $this->view($import, $compared);
            };
        });
    }

    private function requireSame(Import $import, bool $sure): Compared
    {
        if ($import->refresh()->state === ImportState::Applied) {
            throw Refused::because('This import was already applied.');
        }
        $compared = $this->compare($import->kind, $import->payload);
        if ($compared->print() !== $import->made_from) {
            throw Refused::because(
                'Something changed since you looked at this file. Look at it again; nothing was applied.',
            );
        }
        $points = $compared->points();
        if ($points !== [] && ! $sure) {
            throw Refused::ask('Is this meant? Nothing was applied yet.', $points);
        }

        return $compared;
    }

    private function write(Person $by, Import $import, Compared $compared): void
    {
        match ($import->kind) {
            ImportKind::Flying => $this->applyFlying($by, $import),
            ImportKind::Sectors => $this->applySectors($import),
            ImportKind::Revision => $this->revisions->apply(RevisionFile::read($import->payload)),
            ImportKind::Follows => $this->follows->apply($by, FollowFile::read($import->payload), $import->name),
            ImportKind::Listed, ImportKind::ListedCsv => $this->listed->apply(
                $by,
                self::listed($import->kind, $import->payload),
            ),
            ImportKind::Cards => $this->cards->apply($by, TemplateFile::read($import->payload), $import->name),
            default => self::programme($import->kind, $import->payload)->save(),
        };
        $import->update(['state' => ImportState::Applied]);
        $this->records->write(
            $by,
            "import.{$import->kind->value}",
            "import:{$import->id}",
            [
                'file' => $import->name,
                'sha256' => hash('sha256', $import->payload),
                'changes' => count($compared->changes),
                'asked' => $compared->points(),
            ],
        );
    }

    private function compare(ImportKind $kind, string $payload): Compared
    {
        return match ($kind) {
            ImportKind::Flying => $this->compareFlying(FlyingFile::read($payload, $this->clock->today())),
            ImportKind::Sectors => $this->compareSectors(SectorsFile::read(
                $payload,
                $this->clock->today(),
                $this->clock,
            )),
            ImportKind::Revision => $this->revisions->compare(RevisionFile::read($payload)),
            ImportKind::Follows => $this->follows->compare(FollowFile::read($payload)),
            ImportKind::Listed, ImportKind::ListedCsv => $this->listed->compare(self::listed($kind, $payload)),
            ImportKind::Cards => $this->cards->compare(TemplateFile::read($payload)),
            default => $this->compareProgramme(self::programme($kind, $payload)),
        };
    }

    private static function listed(ImportKind $kind, string $payload): ListedFile
    {
        return $kind === ImportKind::ListedCsv ? ListedFile::readCsv($payload) : ListedFile::read($payload);
    }

    private static function programme(ImportKind $kind, string $payload): ProgrammeFile
    {
        return $kind === ImportKind::ProgrammeCsv ? ProgrammeFile::readCsv($payload) : ProgrammeFile::read($payload);
    }

    private function compareProgramme(ProgrammeFile $file): Compared
    {
        $present = $file->type->programme()->with(['template', 'set'])->get()->keyBy('code');
        $changes = [];
        foreach ($file->items as $item) {
            $old = $present->get($item->code);
            $before = $old === null ? '' : self::words($old);
            $after = self::words($item);
            if ($before !== $after) {
                $changes[] = new ChangeView(
                    "{$item->code} {$item->title}",
                    $old === null ? 'new item' : 'changed',
                    $before,
                    $after,
                );
            }
            $item->id = $old->id ?? -1 - count($changes);
        }
        $merged = $present->keyBy('code')->merge($file->items->keyBy('code'))->where('withdrawn', false)->values();
        $dates = [];
        $fleet = $this->book->query()->where('type_id', $file->type->id)->orderBy('mark')->get();
        $this->book->read($fleet);
        foreach ($fleet as $aircraft) {
            $before = $this->book->page($aircraft);
            $this->moved($dates, $before, $this->book->page($aircraft, $merged), $this->firstStop($before));
        }
        $left = $present->where('withdrawn', false)
            ->whereNotIn('code', $file->items->pluck('code'))
            ->map(static fn(ProgrammeItem $i): string => "{$i->code} {$i->title}");

        return new Compared($changes, $dates, self::lacking($file), array_values($left->all()));
    }

    /**
     * Visits that have an item's cards already and would lack one that its set gets.
     *
     * @return list<AskedView>
     */
    private static function lacking(ProgrammeFile $file): array
    {
        $cards = Card::with('visit.aircraft:id,mark', 'template:id,code')
            ->whereIn('item_id', $file->items->pluck('id')->filter(static fn(int $id): bool => $id > 0))
            ->whereIn('visit_id', Visit::where('state', '!=', Visit::RELEASED)->select('id'))
            ->get()
            ->groupBy(['item_id', 'visit_id']);
        $asked = [];
        foreach ($file->items as $item) {
            foreach ($cards->get($item->id, []) as $has) {
                $visit = $has->firstOrFail()->visit;
                $lacks = $item->set->pluck('code')->diff($has->pluck('template.code'));
                if ($lacks->isNotEmpty()) {
                    $asked[] = new AskedView(
                        "{$item->code} {$item->title}",
                        "\"{$visit->title}\" of {$visit->aircraft->mark} has its cards already and not "
                            .$lacks->implode(', ').'. Add it there, or the check is done without it.',
                    );
                }
            }
        }

        return $asked;
    }

    private function compareFlying(FlyingFile $file): Compared
    {
        $changes = $dates = $asked = [];
        $aircraft = $this->book->query()
            ->whereIn('mark', array_map(static fn(array $r): string => $r['aircraft']->mark, $file->rows))
            ->orderBy('mark')
            ->get();
        $this->questions->read($aircraft->modelKeys());
        foreach ($aircraft as $craft) {
            $before = $this->book->page($craft);
            $stopped = $this->firstStop($before);
            $old = $craft->counters;
            foreach ($file->rows as $row) {
                if ($row['aircraft']->mark === $craft->mark) {
                    foreach ($this->questions->of(
                        $craft,
                        $row['date'],
                        $row['flown'],
                        $row['known'],
                        $row['before'],
                    ) as $question) {
                        $asked[] = new AskedView("line {$row['line']}", $question);
                    }
                    FlyingLog::count($craft, $row['date'], $row['flown']);
                }
            }
            foreach ($craft->counters as $name => $value) {
                $changes[] = new ChangeView(
                    $craft->mark,
                    'to '.$this->clock->words($craft->counters_as_of),
                    Words::amount((float) $old[$name], $name),
                    Words::amount((float) $value, $name),
                );
            }
            $this->moved($dates, $before, $this->book->page($craft), $stopped);
        }

        return new Compared($changes, $dates, $asked);
    }

    private function compareSectors(SectorsFile $file): Compared
    {
        $changes = $dates = $asked = [];
        $rows = collect($file->rows)->groupBy(static fn(array $r): int => $r['aircraft']->id);
        foreach ($this->book->query()->whereIn('id', $rows->keys())->orderBy('mark')->get() as $craft) {
            $before = $this->book->page($craft);
            $stopped = $this->firstStop($before);
            $sectors = $craft->sectors->keyBy(self::sectorKey(...));
            foreach ($rows[$craft->id] as $row) {
                foreach ($this->questions->ofPlanned($craft, Day::parse($row['date'])) as $question) {
                    $asked[] = new AskedView("line {$row['line']}, {$row['number']}", $question);
                }
                $sector = new Sector([
                    ...array_diff_key($row, ['aircraft' => 0, 'line' => 0]),
                    'aircraft_id' => $craft->id,
                ]);
                $key = self::sectorKey($sector);
                $was = $sectors->has($key) ? self::sectorWords($sectors[$key]) : '';
                if ($was !== self::sectorWords($sector)) {
                    $changes[] = new ChangeView(
                        "{$craft->mark} {$row['date']} {$row['number']}",
                        $was === '' ? 'new sector' : 'changed',
                        $was,
                        self::sectorWords($sector),
                    );
                }
                $sectors[$key] = $sector;
            }
            $craft->setRelation('sectors', $sectors->values());
            $this->moved($dates, $before, $this->book->page($craft), $stopped);
        }

        return new Compared($changes, $dates, $asked);
    }

    private static function sectorKey(Sector $s): string
    {
        return "{$s->date}/{$s->number}";
    }

    private static function sectorWords(Sector $s): string
    {
        $said = ($s->departs_at === null ? '' : ", {$s->departs_at} to {$s->arrives_at}")
            .($s->conditions === null ? '' : ', '.(implode(' ', $s->conditions) ?: 'nothing met'));

        return "{$s->from_place} to {$s->to_place}, ".implode(
            ', ',
            array_map(
                static fn(string $c, float|int $v): string => Words::amount((float) $v, $c),
                array_keys($s->use),
                $s->use,
            ),
        ).$said;
    }

    /** What stops the aircraft first, of its items, bottles and deferrals: as the Fleet room has it. */
    private function firstStop(DuePage $page): string
    {
        $stop = $this->reach->row($page)->stop;

        return $stop === null ? 'nothing' : "{$this->clock->words(Day::parse($stop->date))}: {$stop->title}";
    }

    /**
     * What stops the aircraft first, and which dates move.
     *
     * @param list<ChangeView> $dates
     * @param string $old what stopped it first before
     */
    private function moved(array &$dates, DuePage $before, DuePage $after, string $old): void
    {
        $mark = $after->aircraft->mark;
        $new = $this->firstStop($after);
        $dates[] = new ChangeView(
            $mark,
            $old === $new ? 'first stop stays' : 'first stop moves',
            $old,
            $new,
            stop: true,
        );
        $was = $before->items()->keyBy(static fn(DueRow $r): string => $r->of->item->code.'/'.$r->on?->component_id);
        foreach ($after->items() as $row) {
            $from = $was->pull($row->of->item->code.'/'.$row->on?->component_id);
            if ($from?->due->forecast?->number !== $row->due->forecast?->number) {
                $dates[] = new ChangeView(
                    $mark,
                    "{$row->of->item->code} {$row->title()}",
                    $from === null ? 'not in force' : $this->date($from->due->forecast),
                    $this->date($row->due->forecast),
                );
            }
        }
        foreach ($was as $gone) {
            $dates[] = new ChangeView(
                $mark,
                "{$gone->of->item->code} {$gone->title()}",
                $this->date($gone->due->forecast),
                'no longer in force',
            );
        }
    }

    private function date(?Day $day): string
    {
        return $day === null ? 'beyond 20 years' : $this->clock->words($day);
    }

    private function applyFlying(Person $by, Import $import): void
    {
        $touched = [];
        foreach (FlyingFile::read($import->payload, $this->clock->today())->rows as $row) {
            $craft = $touched[$row['aircraft']->mark] ??= $row['aircraft'];
            $this->log->add(
                $craft,
                $row['date'],
                $row['flown'],
                $by,
                $import->name === 'flying programme' ? 'feed' : 'file',
            );
        }
        foreach ($touched as $craft) {
            $craft->save();
        }
    }

    private function applySectors(Import $import): void
    {
        foreach (SectorsFile::read($import->payload, $this->clock->today(), $this->clock)->rows as $row) {
            Sector::updateOrCreate(
                ['aircraft_id' => $row['aircraft']->id, 'date' => $row['date'], 'number' => $row['number']],
                // What the file does not say stays as it was.
                array_filter([
                    'from_place' => $row['from_place'], 'to_place' => $row['to_place'], 'use' => $row['use'],
                    ...array_intersect_key($row, ['departs_at' => 0, 'arrives_at' => 0, 'conditions' => 0]),
                ], static fn(mixed $v): bool => $v !== null),
            );
        }
    }

    private static function words(ProgrammeItem $item): string
    {
        $words = [
            "{$item->title}; {$item->limitWords(true)}; {$item->rule} of its limits; rebase {$item->rebase}; "
                ."chapter {$item->chapter}; card {$item->template->code}",
        ];
        foreach (ProgrammeItem::OPTIONAL as $field) {
            $value = $item->{$field};
            $value = $value instanceof BackedEnum ? $value->value : $value;
            if ($value !== null && $value !== [] && $value !== false) {
                $words[] = "{$field} ".(is_array($value) ? implode(
                    ', ',
                    array_map(
                        static fn(int|string $k, mixed $v): string => is_int($k) ? (string) $v : "{$k} {$v}",
                        array_keys($value),
                        $value,
                    ),
                ) : ($value === true ? 'yes' : $value));
            }
        }
        if ($item->set->isNotEmpty()) {
            $words[] = 'with the cards '.$item->set->pluck('code')->implode(', ');
        }

        return implode('; ', $words);
    }

    private function view(Import $import, Compared $compared): ImportView
    {
        $changes = $compared->changes;
        $dates = $compared->dates;
        $stops = array_filter($dates, static fn(ChangeView $d): bool => $d->stop);
        $moves = count(array_filter($stops, static fn(ChangeView $d): bool => $d->before !== $d->after));
        $moved = count($dates) - count($stops);

        return new ImportView(
            $import->id,
            $import->kind->value,
            $import->name,
            $import->state->value,
            LibraryWords::import(
                $import->kind,
                $import->state === ImportState::Applied,
                count($changes),
                $moved,
                $moves,
            ),
            $changes,
            $dates,
            $compared->asked,
            $compared->left,
        );
    }
}
