<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Library\LibraryWords;
use App\Library\Model\CardTemplate;
use App\Library\Model\CardVersion;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Library\CardState;
use Jorvel\Core\Shared\InputError;

/**
 * Card templates are written here: a draft, which may have faults while it is written; checked by a second person, who
 * signs; brought in force by name. Every version that was in force stays, and cards in work keep theirs.
 */
final readonly class CardDesk
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * Saves a draft, faults and all; one that was checked is a draft again.
     *
     * @param array<string, mixed> $body as written
     * @param int|null $seen the draft's version that the writer had open; null for a new draft
     *
     * @throws Refused when somebody else has a draft of it, or wrote meanwhile
     */
    public function save(Person $by, AircraftType $type, array $body, string $note, ?int $seen): CardVersion
    {
        $code = self::code($body);

        return DB::transaction(function () use ($by, $type, $body, $note, $seen, $code): CardVersion {
            $draft = CardVersion::openOf($type->id, $code);
            if ($draft === null) {
                if ($seen !== null) {
                    throw Refused::because('That draft is in force or discarded since. What you wrote is still here: '
                        .'open the card again and put it into a new draft.');
                }
                $this->keepPresent($type, $code);

                return $this->draft($by, $type, $code, $body, $note);
            }
            if ($seen === null) {
                throw Refused::because("There is a draft of {$code} already. Open that one; nothing was saved.");
            }
            $draft->requireVersion($seen);
            $draft->update([
                'body' => $body, 'note' => $note, 'version' => $draft->version + 1, 'state' => CardState::Draft,
                'writers' => array_values(array_unique([...$draft->writers, $by->id])),
                'written_at' => (string) $this->clock->now(), 'checked_by' => null, 'checked_at' => null,
            ]);

            return $draft;
        });
    }

    /** @throws Refused unless it is a draft without faults, of others */
    public function check(Person $by, CardVersion $draft, int $seen, string $stamp, string $pin): void
    {
        self::asSeen($draft, $seen, function () use ($by, $draft, $stamp, $pin): void {
            if ($draft->state !== CardState::Draft) {
                throw Refused::because("{$draft->code} is no draft any more. Nothing was changed.");
            }
            if (in_array($by->id, $draft->writers, true)) {
                throw Refused::because('You wrote at this draft; somebody else checks it. Nothing was changed.');
            }
            $this->requireSound($draft);
            $by->requireSignature($stamp, $pin);
            $draft->update([
                'state' => CardState::Checked, 'checked_by' => $by->id, 'checked_at' => (string) $this->clock->now(),
            ]);
            $this->record($by, 'template.checked', $draft);
        });
    }

    /** @throws Refused unless it is checked */
    public function force(Person $by, CardVersion $draft, int $seen, string $stamp, string $pin): void
    {
        self::asSeen($draft, $seen, function () use ($by, $draft, $stamp, $pin): void {
            if ($draft->state !== CardState::Checked) {
                throw Refused::because(
                    "{$draft->code} comes in force once somebody else has checked it. Nothing was changed.",
                );
            }
            // What it names may have gone since it was checked.
            $this->requireSound($draft);
            $by->requireSignature($stamp, $pin);
            CardVersion::where(['type_id' => $draft->type_id, 'code' => $draft->code, 'state' => CardState::InForce])
                ->update(['state' => CardState::Replaced]);
            $draft->update([
                'state' => CardState::InForce, 'forced_by' => $by->id, 'forced_at' => (string) $this->clock->now(),
            ]);
            CardTemplate::updateOrCreate(
                ['type_id' => $draft->type_id, 'code' => $draft->code],
                [...TemplateFile::row($draft->body, $draft->type_id), 'version' => $draft->no],
            );
            $this->record($by, 'template.in_force', $draft);
        });
    }

    /** @throws Refused unless it is still open */
    public function discard(Person $by, CardVersion $draft, int $seen): void
    {
        self::asSeen($draft, $seen, function () use ($by, $draft): void {
            if (! $draft->state->open()) {
                throw Refused::because("{$draft->code} is no draft any more. Nothing was changed.");
            }
            $draft->update(['state' => CardState::Discarded]);
            $this->record($by, 'template.discarded', $draft);
        });
    }

    /**
     * A template changed by another way, by a revision that was read: that is a version of it, too.
     *
     * @param CardTemplate $before as it stood
     */
    public function changed(Person $by, CardTemplate $before, CardTemplate $after, string $note): void
    {
        $type = AircraftType::findOrFail($after->type_id);
        $this->keep($type, $before, CardState::Replaced);
        CardVersion::where(['type_id' => $type->id, 'code' => $after->code, 'state' => CardState::InForce])
            ->update(['state' => CardState::Replaced]);
        $no = $this->next($type->id, $after->code);
        $now = (string) $this->clock->now();
        CardVersion::create([
            'type_id' => $type->id, 'code' => $after->code, 'no' => $no, 'state' => CardState::InForce,
            'body' => TemplateFile::body($after), 'note' => $note, 'writers' => [$by->id], 'written_at' => $now,
            'forced_by' => $by->id, 'forced_at' => $now,
        ]);
        $after->update(['version' => $no]);
    }

    /** The version that is in force, where nothing was written here before, is kept as the first. */
    private function keepPresent(AircraftType $type, string $code): void
    {
        $template = CardTemplate::with('manual')->where(['type_id' => $type->id, 'code' => $code])->first();
        if ($template !== null) {
            $this->keep($type, $template, CardState::InForce);
        }
    }

    private function keep(AircraftType $type, CardTemplate $template, CardState $state): void
    {
        $known = CardVersion::where(['type_id' => $type->id, 'code' => $template->code]);
        if ($known->doesntExist()) {
            CardVersion::create([
                'type_id' => $type->id, 'code' => $template->code, 'no' => $template->version, 'state' => $state,
                'body' => TemplateFile::body($template->loadMissing('manual')), 'note' => 'as it was brought in',
                'writers' => [], 'written_at' => (string) $this->clock->now(),
            ]);
        }
    }

    /** @param array<string, mixed> $body */
    private function draft(Person $by, AircraftType $type, string $code, array $body, string $note): CardVersion
    {
        $draft = CardVersion::create([
            'type_id' => $type->id, 'code' => $code, 'no' => $this->next($type->id, $code),
            'state' => CardState::Draft, 'body' => $body, 'note' => $note, 'writers' => [$by->id],
            'written_at' => (string) $this->clock->now(), 'version' => 1,
        ]);
        $this->record($by, 'template.drafted', $draft);

        return $draft;
    }

    /**
     * One step of a draft's life, on the draft as it stands in the transaction: what was written meanwhile is seen.
     *
     * @param \Closure(): void $step
     *
     * @throws Refused for whoever saw an older one
     */
    private static function asSeen(CardVersion $draft, int $seen, \Closure $step): void
    {
        DB::transaction(static function () use ($draft, $seen, $step): void {
            $draft->refresh()->requireVersion($seen);
            $step();
        });
    }

    private function next(int $typeId, string $code): int
    {
        return 1 + (int) CardVersion::where(['type_id' => $typeId, 'code' => $code])->max('no');
    }

    private function record(Person $by, string $what, CardVersion $draft): void
    {
        $this->records->write($by, $what, "card version:{$draft->id}", [
            'code' => $draft->code, 'no' => $draft->no, 'note' => $draft->note,
            'sha256' => hash('sha256', (string) json_encode($draft->body)),
        ]);
    }

    /** @throws Refused naming every fault */
    private function requireSound(CardVersion $draft): void
    {
        $faults = TemplateFile::faults(TemplateFile::asObject($draft->body), $draft->type);
        if ($faults !== []) {
            throw Refused::lines(
                count($faults) === 1 ? 'The card has a fault. Nothing was changed.' : 'The card has '.count($faults)
                    .' faults. Nothing was changed.',
                array_map(static fn(InputError $e): array => [
                    'line' => LibraryWords::place($e->path, $draft->body['steps'] ?? []),
                    'message' => $e->getMessage(),
                ], $faults),
            );
        }
    }

    /** @param array<string, mixed> $body */
    private static function code(array $body): string
    {
        $code = $body['code'] ?? null;
        if (! is_string($code) || preg_match('~^[A-Z0-9][A-Za-z0-9/-]{2,23}$~D', $code) !== 1) {
            throw Refused::because('Give the card a number first, such as SKV-35-11. Nothing was saved.');
        }

        return $code;
    }
}
