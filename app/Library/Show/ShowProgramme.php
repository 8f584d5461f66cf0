<?php

declare(strict_types=1);

namespace App\Library\Show;

use App\Fleet\Model\AircraftType;
use App\Fleet\Model\Base;
use App\Fleet\Model\Component;
use App\Library\Do\ProgrammeFile;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Library\Show\View\ProgrammeCard;
use App\Library\Show\View\ProgrammeRoom;
use App\Library\Show\View\ProgrammeRow;
use App\Shared\Words;
use Jorvel\Core\Fleet\Rebase;

/** One type's programme, to be read and edited. */
final readonly class ShowProgramme
{
    public function of(string $code): ProgrammeRoom
    {
        $type = AircraftType::with(['programme.template', 'programme.set'])->where('code', $code)->firstOrFail();
        $rows = array_values($type->programme->map(static fn(ProgrammeItem $i): ProgrammeRow => new ProgrammeRow(
            $i->id,
            $i->code,
            $i->title,
            $i->chapter,
            $i->limitWords(),
            $i->rebase === Rebase::Planned->value ? 'keeps the plan' : 'from when done',
            $i->component,
            implode(
                ', ',
                array_map(
                    static fn(string $c, float|int $f): string => "{$c} × ".Words::number((float) $f, 2),
                    array_keys($i->harsh ?? []),
                    $i->harsh ?? [],
                ),
            ),
            $i->workHours(),
            $i->template->skill,
            implode(' ', $i->panels()),
            implode(
                ', ',
                array_map(
                    static fn(string $k, string $v): string => "{$k} {$v}",
                    array_keys($i->configuration ?? []),
                    $i->configuration ?? [],
                ),
            ),
            $i->cardWords(),
            $i->withdrawn,
            (object) ProgrammeFile::row($i),
        ))->all());
        $harsh = count(array_filter($rows, static fn(ProgrammeRow $r): bool => $r->harsh !== ''));
        $on = count(array_filter($rows, static fn(ProgrammeRow $r): bool => $r->component !== null));

        return new ProgrammeRoom(
            $type->code,
            $type->name,
            $type->arrangement,
            "{$type->code} has ".$type->programme->where('withdrawn', false)->count()
                ." items: {$on} follow a component wherever it goes, {$harsh} come sooner under harsh use.",
            $rows,
            array_values(CardTemplate::where('type_id', $type->id)->orderBy('code')->get(['code', 'title'])
                ->map(static fn(CardTemplate $t): ProgrammeCard => new ProgrammeCard($t->code, $t->title))
                ->all()),
            array_values(Component::distinct()->orderBy('kind')->pluck('kind')->all()),
            array_values(Base::all()->flatMap(static fn(Base $b): array => $b->conditions)
                ->merge($type->programme->flatMap(static fn(ProgrammeItem $i): array => array_keys($i->harsh ?? [])))
                ->unique()
                ->sort()
                ->all()),
        );
    }
}
