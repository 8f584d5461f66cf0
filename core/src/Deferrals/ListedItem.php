<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/**
 * A defect that the type's approved list allows to be carried, and on what terms. Its shape is core/schema/listed.json.
 */
final readonly class ListedItem
{
    /** Width and height of a placard in millimetres, where the list does not say. */
    public const SIZE = [80.0, 20.0];

    /**
     * @param list<string> $words one of them stands in a finding of this part of the system; none, and any part is
     *   meant
     * @param array<string, float> $usage limits by counter
     * @param int|null $days limit by the calendar, besides the category's
     * @param int $most so many may be carried at once
     * @param list<string> $positions of the units; none where there is but one, or they are not told apart
     * @param list<string> $channels set back and compared when it is closed
     * @param list<string> $forbids conditions that a flight may not meet
     * @param array<string, float> $restricts `max_…` and `min_…`
     * @param list<string> $needs systems that must be operative with it
     * @param string|null $safe the card that makes it safe
     * @param list<string> $closes cards that test it when it is closed
     * @param array{float, float} $size of the placard, in millimetres
     */
    private function __construct(
        public string $code,
        public string $chapter,
        public string $system,
        public string $title,
        public array $words,
        public Category $category,
        public array $usage,
        public ?int $days,
        public int $installed,
        public int $required,
        public int $most,
        public array $positions,
        public array $channels,
        public string $conditions,
        public array $forbids,
        public array $restricts,
        public array $needs,
        public ?string $safe,
        public array $closes,
        public string $crew,
        public string $placard,
        public array $size,
        public bool $withdrawn,
    ) {}

    /**
     * @param \stdClass $body as in core/schema/listed.json
     *
     * @throws InputError with the place of what is wrong
     *
     * @pure
     */
    public static function of(\stdClass $body): self
    {
        Schema::check('listed', $body);
        $in = Input::of($body);
        $usage = $in->numbers('limits');
        $days = isset($usage['days']) ? (int) $usage['days'] : null;
        unset($usage['days']);
        $installed = $in->int('installed');
        $required = $in->int('required');
        $item = new self(
            $in->string('code'),
            $in->string('chapter'),
            $in->string('system'),
            $in->string('title'),
            $in->strings('words'),
            Category::from($in->string('category')),
            $usage,
            $days,
            $installed,
            $required,
            $in->intOr('carry', $installed - $required),
            $in->strings('positions'),
            $in->strings('channels'),
            $in->stringOr('conditions', ''),
            $in->strings('forbid'),
            $in->numbers('restrict'),
            $in->strings('needs'),
            $in->has('safe') ? $in->string('safe') : null,
            $in->strings('closes'),
            $in->stringOr('crew', ''),
            $in->string('placard'),
            $in->has('size') ? $in->pair('size') : self::SIZE,
            $in->has('withdrawn') && $in->bool('withdrawn'),
        );
        $item->require();

        return $item;
    }

    /** @throws InputError where fields do not go together */
    private function require(): void
    {
        if ($this->required >= $this->installed) {
            throw InputError::at('required', "leaves none of the {$this->installed} installed to be carried");
        }
        if ($this->most > $this->installed - $this->required) {
            throw InputError::at('carry', 'is more than the installed ones less those that must work');
        }
        if ($this->category === Category::A && $this->days === null && $this->usage === []) {
            throw InputError::at('limits', 'are needed for category A');
        }
        if (in_array($this->system, $this->needs, true)) {
            throw InputError::at('needs', "names its own system, {$this->system}");
        }
        foreach ($this->restricts as $name => $value) {
            if (preg_match('/^(max|min)_[a-z]/', (string) $name) !== 1) {
                throw InputError::at("restrict.{$name}", 'must begin with max_ or min_');
            }
            if (isset($this->restricts['max_'.substr($name, 4)], $this->restricts['min_'.substr($name, 4)])
                && $this->restricts['min_'.substr($name, 4)] > $this->restricts['max_'.substr($name, 4)]) {
                throw InputError::reversed("restrict.{$name}");
            }
        }
    }

    /**
     * Whether it is of the family of a finding's chapter: 32 covers 32-30, and 32-30 is covered by 32.
     *
     * @pure
     */
    public function ofFamily(string $chapter): bool
    {
        return substr($this->chapter, 0, 2) === substr($chapter, 0, 2);
    }

    /** Whether it is of the same system of that family, as far as both say it. @pure */
    public function ofSystem(string $chapter): bool
    {
        return str_starts_with($this->chapter, $chapter) || str_starts_with($chapter, $this->chapter);
    }

    /** Whether a finding speaks of this part of the system. @pure */
    public function speaksOf(string $text): bool
    {
        if ($this->words === []) {
            return true;
        }
        foreach ($this->words as $word) {
            if (preg_match('/(?<![\pL\pN])'.preg_quote(mb_strtolower($word), '/').'/u', mb_strtolower($text)) === 1) {
                return true;
            }
        }

        return false;
    }
}
