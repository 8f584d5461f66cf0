<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Library\LibraryWords;
use App\Library\Model\FollowRule;
use App\Library\Show\View\ChangeView;
use Jorvel\Core\Library\Differences;

/** Rules that are brought in are proposals: somebody else brings them in force, like any other. */
final readonly class BringFollows
{
    public function __construct(private FollowRules $rules) {}

    public function compare(FollowFile $file): Compared
    {
        $present = FollowRule::inForce($file->type->id)->get()->keyBy('code')->all();
        $changes = [];
        foreach ($file->rules as $code => $body) {
            $old = $present[$code] ?? null;
            $array = static fn(\stdClass $b): array => json_decode((string) json_encode($b), true);
            if ($old === null) {
                $changes[] = new ChangeView("{$code} {$body->title}", 'new rule', '', LibraryWords::value($array($body)));
            }
            foreach ($old === null ? [] : Differences::between($old->body, $array($body)) as $d) {
                $changes[] = new ChangeView(
                    "{$code} {$body->title}",
                    str_replace('_', ' ', $d['at']),
                    LibraryWords::value($d['was']),
                    LibraryWords::value($d['is']),
                );
            }
        }
        $left = array_diff_key($present, $file->rules);

        return new Compared($changes, [], left: array_values(array_map(
            static fn(FollowRule $r): string => "{$r->code} {$r->body['title']}",
            $left,
        )));
    }

    public function apply(Person $by, FollowFile $file, string $name): void
    {
        $latest = FollowRule::where('type_id', $file->type->id)->orderBy('version')->get()->keyBy('code')->all();
        foreach ($file->rules as $code => $body) {
            $last = $latest[$code] ?? null;
            if ($last === null || $last->state === 'withdrawn' || ! FollowRules::same($last->object(), $body)) {
                $this->rules->propose($by, $file->type, $body, "brought in from {$name}", $last?->version);
            }
        }
    }
}
