<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Shared\Input;

/** A sort of finding, told by its system and by the words it is described in. */
final readonly class FoundSort
{
    /**
     * @param list<string> $chapters empty for any
     * @param list<list<string>> $words one of each list is wanted
     */
    private function __construct(public array $chapters, public array $words) {}

    /** @pure */
    public static function from(Input $in): self
    {
        return new self($in->strings('chapters'), $in->lists('words'));
    }

    /**
     * Whether a finding is of this sort: each list has a word that a word of the text begins with.
     *
     * @param string $chapter `29` or `29-10`; a rule's chapter 29 holds for 29-10
     * @param string $text place and extent, as somebody described them
     *
     * @pure
     */
    public function holds(string $chapter, string $text): bool
    {
        $of = static fn(string $c): bool => $c === $chapter || str_starts_with($chapter, "{$c}-");
        if ($this->chapters !== [] && array_filter($this->chapters, $of) === []) {
            return false;
        }
        foreach ($this->words as $list) {
            $any = implode('|', array_map(static fn(string $w): string => preg_quote($w, '/'), $list));
            if (preg_match("/(?<![\\pL\\pN])(?:{$any})/iu", $text) !== 1) {
                return false;
            }
        }

        return true;
    }
}
