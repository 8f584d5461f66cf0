<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\Day;

/** What somebody holds: skills, type ratings and authorities, each with the last day on which it stands. */
final readonly class Qualified
{
    /**
     * @param array<string, Day|null> $until by `skill:airframe`, `rating:SKV`, `authority:perform`; null does not lapse
     */
    public function __construct(private array $until) {}

    /**
     * Why this person does not fit a slot on a day; null when they do.
     *
     * The first that holds of `no_authority`, `no_rating`, `no_skill`, `expired:<the first that lapsed of authority,
     * rating, skill>`, `not_independent`. The last day itself is still valid.
     *
     * @param string $role `perform`, `duplicate` or `certify`
     * @param string $type the aircraft type's code
     * @param string|null $skill null where the slot asks for none
     * @param bool $tookPart whether they performed or are to perform on the card (for `duplicate`) or are to inspect it
     *   (for `perform`)
     *
     * @pure
     */
    public function unfit(string $role, string $type, ?string $skill, Day $on, bool $tookPart = false): ?string
    {
        $wanted = ["authority:{$role}" => 'no_authority', "rating:{$type}" => 'no_rating'];
        if ($skill !== null) {
            $wanted["skill:{$skill}"] = 'no_skill';
        }
        foreach ($wanted as $key => $lack) {
            if (! array_key_exists($key, $this->until)) {
                return $lack;
            }
        }
        foreach (array_keys($wanted) as $key) {
            $until = $this->until[$key];
            if ($until !== null && $until->number < $on->number) {
                return 'expired:'.explode(':', $key, 2)[1];
            }
        }

        return $tookPart ? 'not_independent' : null;
    }

    /**
     * Until when a qualification is valid; null when it does not lapse or is not there.
     *
     * @pure
     */
    public function until(string $kind, string $value): ?Day
    {
        return $this->until["{$kind}:{$value}"] ?? null;
    }
}
