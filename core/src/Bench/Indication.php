<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_filter;
use function array_keys;

use Jorvel\Core\Shared\InputError;

/**
 * A position that several things tell of, of which only some prove it: pressure back to normal does, a light does not.
 */
enum Indication: string
{
    /** What proves it says so, and everything else agrees. */
    case Proven = 'proven';

    /** What proves it says so; something that only shows it does not. */
    case ShownWrongly = 'shown_wrongly';

    /** Shown, and not proven: the dangerous one. */
    case NotProven = 'not_proven';

    /** Nothing says so. */
    case NotThere = 'not_there';

    /**
     * @param array<string, bool> $proves whether a source proves the position, by its id
     * @param array<string, bool> $says whether each says that it is so
     *
     * @throws InputError at `says` for a source without an answer
     *
     * @pure
     */
    public static function of(array $proves, array $says): self
    {
        foreach (array_keys($proves) as $id) {
            if (! isset($says[$id])) {
                throw InputError::at('says', "has no answer for {$id}");
            }
        }
        $yes = array_filter($says);
        $proving = array_filter($proves);
        $proven = array_diff_key($proving, $yes) === [];

        return match (true) {
            $proven && array_diff_key($proves, $yes) === [] => self::Proven,
            $proven => self::ShownWrongly,
            $yes !== [] => self::NotProven,
            default => self::NotThere,
        };
    }

    /** A wrong indicator is a fault too, though the position is proven. @pure */
    public function verdict(): Verdict
    {
        return $this === self::Proven ? Verdict::Pass : Verdict::Fail;
    }
}
