<?php

declare(strict_types=1);

namespace App\Library;

use App\Fleet\AircraftType;
use App\Shared\Refused;
use Illuminate\Support\Collection;
use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Fleet\DueKind;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** A programme as JSON: `{type, items: […]}`, checked whole; each bad item is named by its line in the file and its path. */
final readonly class ProgrammeFile
{
    /** @param Collection<int, ProgrammeItem> $items not saved */
    private function __construct(public AircraftType $type, public Collection $items) {}

    /** @throws Refused with every line that is wrong */
    public static function read(string $text): self
    {
        try {
            $data = json_decode($text, false, 512, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw Refused::lines('The file is not JSON. Nothing was changed.', [['line' => 'file', 'message' => $e->getMessage()]]);
        }
        if (! $data instanceof \stdClass || ! is_string($data->type ?? null) || ! is_array($data->items ?? null)) {
            throw Refused::lines('The file is not a programme. Nothing was changed.', [['line' => 'file', 'message' => 'must be an object with "type" and a list "items"']]);
        }
        $type = AircraftType::firstWhere('code', $data->type) ?? throw Refused::lines('The programme is for a type that is not here. Nothing was changed.', [['line' => 'type', 'message' => "no aircraft type \"{$data->type}\""]]);
        $templates = CardTemplate::where('type_id', $type->id)->get()->keyBy('code');
        $bad = [];
        $items = [];
        /** @var array<string, true> $seen */
        $seen = [];
        foreach ($data->items as $i => $row) {
            try {
                $items[] = self::item($row, $type, $templates, $seen);
            } catch (InputError $e) {
                $bad[] = ['line' => self::line($text, $i).", items.{$i}".($e->path === '' ? '' : '.'.$e->path), 'message' => $e->getMessage()];
            }
        }
        if ($bad !== []) {
            throw Refused::lines(count($bad) === 1 ? 'One item is wrong. The whole file was refused and nothing was changed.' : count($bad).' items are wrong. The whole file was refused and nothing was changed.', $bad);
        }

        return new self($type, collect($items));
    }

    /**
     * @param Collection<string, CardTemplate> $templates by code
     * @param array<string, true> $seen
     */
    private static function item(mixed $row, AircraftType $type, Collection $templates, array &$seen): ProgrammeItem
    {
        Schema::check('programme-item', $row);
        if (isset($seen[$row->code])) {
            throw InputError::at('code', "\"{$row->code}\" is used twice");
        }
        $seen[(string) $row->code] = true;
        DueKind::item(Input::of((object) ['rule' => $row->rule, 'rebase' => $row->rebase, 'limits' => $row->limits]));
        $template = $templates->get($row->card) ?? throw InputError::at('card', "there is no card template \"{$row->card}\" for the {$type->code}");

        return new ProgrammeItem([
            'type_id' => $type->id, 'template_id' => $template->id, 'code' => $row->code, 'title' => $row->title, 'chapter' => $row->chapter,
            'rule' => $row->rule, 'rebase' => $row->rebase, 'limits' => json_decode((string) json_encode($row->limits), true),
        ]);
    }

    /** The line on which the n-th object of "items" begins, by walking brackets outside strings. */
    private static function line(string $text, int $n): string
    {
        $at = strpos($text, '"items"');
        $depth = 0;
        $found = -1;
        $quoted = false;
        for ($i = ($at === false ? 0 : $at + 7), $end = strlen($text); $i < $end; $i++) {
            $c = $text[$i];
            if ($quoted) {
                $i += $c === '\\' ? 1 : 0;
                $quoted = $c !== '"';

                continue;
            }
            $quoted = $c === '"';
            $starts = $depth === 1 && ! $quoted ? $c === '{' : false;
            if ($starts && ++$found === $n) {
                return 'line '.(substr_count($text, "\n", 0, $i) + 1);
            }
            $depth += match ($c) {
                '[', '{' => 1, ']', '}' => -1, default => 0,
            };
        }

        return 'item '.($n + 1);
    }
}
