<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/**
 * Enters somebody, or changes where, when and as what they work. What was signed with a stamp stays its holder's for
 * ever.
 */
final readonly class CommitPerson
{
    public function __construct(private Clock $clock, private Records $records, private RestRules $rest) {}

    /**
     * @param array{
     *   name: string, stamp: string, role: string, base: string, shift: string, weekdays: list<int>, trainee: bool,
     *   supervisor_id: int|null, leaves: string|null,
     * } $as
     *
     * @throws Refused when the name to sign in with or the stamp is taken, or the rest does not fit together
     */
    public function enter(Person $by, string $login, array $as, string $password, string $pin): Person
    {
        return DB::transaction(function () use ($by, $login, $as, $password, $pin): Person {
            $login = mb_strtolower($login);
            if (Person::where('login', $login)->exists()) {
                throw Refused::because("Somebody else signs in as {$login}. Choose another name; nobody was entered.");
            }
            $this->requireStamp($as['stamp'], null);
            $this->requireWhole($as, null);
            $plain = PlainSecret::password($password, $login);
            if ($plain !== null) {
                throw Refused::because("{$plain} Nobody was entered.");
            }
            $person = Person::create([
                ...$as,
                'secrets_by' => $by->id,
                'login' => $login,
                'password' => $password,
                'pin' => $pin,
                'own_pin' => false,
                'own_password' => false,
            ]);
            $this->records->write($by, 'person.entered', "person:{$person->id}", ['login' => $login, ...$as]);

            return $person;
        });
    }

    /**
     * @param array{
     *   name: string, stamp: string, role: string, base: string, shift: string, weekdays: list<int>, trainee: bool,
     *   supervisor_id: int|null, leaves: string|null,
     * } $as
     *
     * @throws Refused for a stale version, a stamp already used, a week that breaks the rules of rest, or trainees left
     *   alone
     */
    public function change(Person $by, Person $person, int $version, array $as): void
    {
        DB::transaction(function () use ($by, $person, $version, $as): void {
            $person->refresh()->load(['qualifications', 'rotaDays']);
            $person->requireVersion($version);
            $this->requireStamp($as['stamp'], $person);
            $this->requireWhole($as, $person);
            if ($by->id === $person->id && $as['role'] !== $person->role->value) {
                throw Refused::because('Nobody changes their own role. Ask another controller; nothing was changed.');
            }
            $before = $this->rest->ahead($person);
            $was = $this->saved($person);
            $person->fill($as);
            $broken = array_values(array_diff(
                $this->rest->ahead($person),
                $before,
            ));
            if ($broken !== []) {
                throw Refused::because("{$person->name} would have {$broken[0]}. Nothing was changed.");
            }
            $changed = array_filter(
                $this->saved($person),
                static fn(mixed $v, string $k): bool => $v !== $was[$k],
                ARRAY_FILTER_USE_BOTH,
            );
            if ($changed === []) {
                throw Refused::because("Nothing differs from what is kept about {$person->name}.");
            }
            $person->fill(['version' => $version + 1])->save();
            $this->records->write(
                $by,
                'person.changed',
                "person:{$person->id}",
                ['from' => array_intersect_key($was, $changed), 'to' => $changed],
            );
        });
    }

    /** @return array<string, mixed> */
    private function saved(Person $p): array
    {
        return [
            'name' => $p->name,
            'stamp' => $p->stamp,
            'role' => $p->role->value,
            'base' => $p->base,
            'shift' => $p->shift,
            'weekdays' => $p->weekdays,
            'trainee' => $p->trainee,
            'supervisor_id' => $p->supervisor_id,
            'leaves' => $p->leaves === null ? null : (string) $p->leaves,
        ];
    }

    /** A stamp means one person, also in what was signed long ago. */
    private function requireStamp(string $stamp, ?Person $for): void
    {
        if ($for !== null && $for->stamp === $stamp) {
            return;
        }
        $holder = Person::firstWhere('stamp', $stamp);
        if ($holder !== null) {
            throw Refused::because("Stamp {$stamp} is {$holder->name}'s. Nothing was changed.");
        }
        $signed = DB::table('records')->where('who', 'like', '%('.addcslashes($stamp, '%_\\').')')->value('who');
        if ($signed !== null && $signed !== "{$for?->name} ({$stamp})") {
            throw Refused::because(
                "Stamp {$stamp} has signed before, as {$signed}, and is never given again. Nothing was changed.",
            );
        }
    }

    /**
     * @param array{
     *   role: string, weekdays: list<int>, trainee: bool, supervisor_id: int|null, leaves: string|null, ...,
     * } $as
     */
    private function requireWhole(array $as, ?Person $person): void
    {
        $today = $this->clock->today();
        $over = $as['supervisor_id'] === null ? null : Person::find($as['supervisor_id']);
        $trainees = $person === null
            ? collect()
            : Person::thereOn($today)
                ->where('supervisor_id', $person->id)
                ->where('trainee', true)
                ->orderBy('name')
                ->pluck('name');
        $ends = $as['leaves'] !== null || $as['trainee'] || in_array(
            $as['role'],
            [Role::Viewer->value, Role::Controller->value],
            true,
        );
        $why = match (true) {
            $as['trainee'] && $over === null => 'A trainee works under somebody: choose the supervisor.',
            ! $as['trainee'] && $over !== null => 'Only a trainee has a supervisor.',
            $over !== null
                && ($over->id === $person?->id || $over->trainee || $over->goneOn($today)
                    || $over->holds(Role::Viewer, Role::Controller))
                => "{$over->name} cannot stand over a trainee.",
            $as['trainee'] && $as['role'] !== Role::Technician->value => 'A trainee is entered as a technician.',
            $as['trainee'] && $person !== null
                && $person->qualifications
                    ->whereIn('value', ['duplicate', 'certify'])
                    ->where('kind', 'authority')
                    ->isNotEmpty()
                => "{$person->name} holds the authority to inspect or certify; withdraw it first.",
            $ends && $trainees->isNotEmpty()
                => $trainees->implode(', ').' '.($trainees->count() === 1 ? 'works' : 'work')
                    ." under {$person?->name}. Give them another supervisor first.",
            $as['leaves'] !== null && Day::parse($as['leaves'])->number < $today->number
                => "{$as['leaves']} is past: somebody leaves today or later.",
            $person !== null && $person->holds(Role::Controller)
                && ($as['leaves'] !== null || $as['role'] !== Role::Controller->value)
                && Person::where('role', Role::Controller)->whereNull('leaves')->whereKeyNot($person->id)->doesntExist()
                => 'No controller would be left.',
            default => null,
        };
        if ($why !== null) {
            throw Refused::because("{$why} Nothing was changed.");
        }
    }
}
