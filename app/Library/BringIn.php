<?php

declare(strict_types=1);

namespace App\Library;

use App\Crew\Person;
use App\Fleet\Aircraft;
use App\Fleet\DueBook;
use App\Fleet\FlyingEntry;
use App\Library\View\ChangeView;
use App\Library\View\ImportView;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Fleet\DueResult;

/**
 * Brings a programme or a day's flying in, in two moves: look (checked whole, nothing saved) and apply (one transaction).
 *
 * The preview carries a fingerprint of what it was compared with; if that has changed by the time it is applied, it is
 * refused and looked at again.
 */
final readonly class BringIn
{
    public function __construct(private DueBook $book, private Clock $clock, private Records $records) {}

    /** @throws Refused with every bad line; nothing is kept then */
    public function look(Person $by, string $kind, string $name, string $payload): ImportView
    {
        [$changes, $dates] = $this->compare($kind, $payload);
        $import = Import::create(['person_id' => $by->id, 'kind' => $kind, 'name' => $name, 'payload' => $payload, 'base' => self::print($changes, $dates), 'state' => 'previewed']);

        return $this->view($import, $changes, $dates);
    }

    /** @throws Refused when it was applied before, or the world has changed since the preview */
    public function apply(Person $by, Import $import): ImportView
    {
        return DB::transaction(function () use ($by, $import): ImportView {
            if ($import->refresh()->state === 'applied') {
                throw Refused::because('This import was already applied.');
            }
            [$changes, $dates] = $this->compare($import->kind, $import->payload);
            if (self::print($changes, $dates) !== $import->base) {
                throw Refused::because('Something changed since you looked at this file. Look at it again; nothing was applied.');
            }
            $import->kind === 'programme' ? $this->applyProgramme($import) : $this->applyFlying($import);
            $import->update(['state' => 'applied']);
            $this->records->write($by, "import.{$import->kind}", "import:{$import->id}", ['file' => $import->name, 'sha256' => hash('sha256', $import->payload), 'changes' => count($changes)]);

            return $this->view($import, $changes, $dates);
        });
    }

    /** @return array{list<ChangeView>, list<ChangeView>} what changes, and which first stops it moves */
    private function compare(string $kind, string $payload): array
    {
        return $kind === 'programme' ? $this->compareProgramme(ProgrammeFile::read($payload)) : $this->compareFlying(FlyingFile::read($payload, $this->clock->today()));
    }

    /** @return array{list<ChangeView>, list<ChangeView>} */
    private function compareProgramme(ProgrammeFile $file): array
    {
        $present = $file->type->items()->with('template')->get()->keyBy('code');
        $changes = [];
        foreach ($file->items as $item) {
            $old = $present->get($item->code);
            $before = $old === null ? '' : self::words($old);
            $after = self::words($item);
            if ($before !== $after) {
                $changes[] = new ChangeView("{$item->code} {$item->title}", $old === null ? 'new item' : 'changed', $before, $after);
            }
            $item->id = $old->id ?? -1 - count($changes);
        }
        $merged = $present->keyBy('code')->merge($file->items->keyBy('code'))->values();
        $dates = [];
        foreach ($this->book->query()->where('type_id', $file->type->id)->orderBy('mark')->get() as $aircraft) {
            $this->moved($dates, $aircraft, $this->book->items($aircraft), $this->book->items($aircraft, $merged));
        }

        return [$changes, $dates];
    }

    /** @return array{list<ChangeView>, list<ChangeView>} */
    private function compareFlying(FlyingFile $file): array
    {
        $changes = $dates = [];
        $aircraft = $this->book->query()->whereIn('mark', array_map(static fn(array $r): string => $r['aircraft']->mark, $file->rows))->orderBy('mark')->get();
        foreach ($aircraft as $craft) {
            $before = $this->book->items($craft);
            $old = $craft->counters;
            foreach ($file->rows as $row) {
                if ($row['aircraft']->mark === $craft->mark) {
                    self::fly($craft, $row['flown'], (string) $row['date']);
                }
            }
            foreach ($craft->counters as $name => $value) {
                $changes[] = new ChangeView($craft->mark, "to {$craft->counters_as_of}", Words::amount((float) $old[$name], $name), Words::amount((float) $value, $name));
            }
            $this->moved($dates, $craft, $before, $this->book->items($craft));
        }

        return [$changes, $dates];
    }

    /**
     * @param list<ChangeView> $dates
     * @param Collection<int, array{item: ProgrammeItem, due: DueResult}> $before
     * @param Collection<int, array{item: ProgrammeItem, due: DueResult}> $after
     */
    private function moved(array &$dates, Aircraft $aircraft, Collection $before, Collection $after): void
    {
        $name = static fn(?array $i): string => $i === null ? 'nothing' : "{$i['due']->forecast}: {$i['item']->title}";
        $old = $name($before->first());
        $new = $name($after->first());
        $dates[] = new ChangeView($aircraft->mark, $old === $new ? 'first stop stays' : 'first stop moves', $old, $new);
    }

    private function applyProgramme(Import $import): void
    {
        foreach (ProgrammeFile::read($import->payload)->items as $item) {
            ProgrammeItem::updateOrCreate(['type_id' => $item->type_id, 'code' => $item->code], $item->only(['template_id', 'title', 'chapter', 'rule', 'rebase', 'limits']));
        }
    }

    private function applyFlying(Import $import): void
    {
        $touched = [];
        foreach (FlyingFile::read($import->payload, $this->clock->today())->rows as $row) {
            $craft = $touched[$row['aircraft']->mark] ??= $row['aircraft'];
            FlyingEntry::create(['aircraft_id' => $craft->id, 'date' => (string) $row['date'], 'flown' => $row['flown']]);
            self::fly($craft, $row['flown'], (string) $row['date']);
        }
        foreach ($touched as $craft) {
            $craft->save();
        }
    }

    /** @param array<string, float> $flown */
    private static function fly(Aircraft $craft, array $flown, string $date): void
    {
        $counters = $craft->counters;
        foreach ($flown as $counter => $amount) {
            $counters[$counter] = round($counters[$counter] + $amount, 3);
        }
        $craft->counters = $counters;
        $craft->counters_as_of = $date;
    }

    private static function words(ProgrammeItem $item): string
    {
        return "{$item->title}; {$item->limitWords(true)}; {$item->rule} of its limits; rebase {$item->rebase}; chapter {$item->chapter}; card {$item->template->code}";
    }

    /**
     * @param list<ChangeView> $changes
     * @param list<ChangeView> $dates
     */
    private static function print(array $changes, array $dates): string
    {
        return hash('sha256', json_encode([$changes, $dates], JSON_THROW_ON_ERROR));
    }

    /**
     * @param list<ChangeView> $changes
     * @param list<ChangeView> $dates
     */
    private function view(Import $import, array $changes, array $dates): ImportView
    {
        $n = count($changes);
        $what = $import->kind === 'programme' ? ($n === 1 ? 'item' : 'items') : ($n === 1 ? 'counter' : 'counters');
        $moves = count(array_filter($dates, static fn(ChangeView $d): bool => $d->before !== $d->after));
        $sentence = match (true) {
            $import->state === 'applied' => "Applied: {$n} {$what} changed.",
            $n === 0 => 'This file changes nothing: everything in it is already so.',
            default => "Applying this changes {$n} {$what} and moves the first stop of {$moves} aircraft.",
        };

        return new ImportView($import->id, $import->kind, $import->name, $import->state, $sentence, $changes, $dates);
    }
}
