<?php

declare(strict_types=1);

namespace App\Now;

use App\Crew\Model\Person;
use App\Shared\Memo;
use ArrayObject;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;

/** People by id, each read once for a request: whoever signed, took, fitted or raised something. */
final readonly class Directory
{
    public function __construct(private Memo $memo) {}

    /** @return ArrayObject<int, Person> by id */
    private function people(): ArrayObject
    {
        return $this->memo->of('directory', ['people', 'qualifications'], static fn(): ArrayObject => new ArrayObject);
    }

    /** Whoever is known already, as the request's own user, is not read again. */
    public function know(Person $person): void
    {
        $people = $this->people();
        $people[$person->id] ??= $person;
    }

    /**
     * Sets relations to people on rows, all of them at once.
     *
     * @param array<string, array{iterable<Model>, string}> $of rows with their foreign key, by relation; `key:relation`
     *   where one relation's rows are several
     */
    public function attach(array $of): void
    {
        $ids = [];
        foreach ($of as [$rows, $key]) {
            foreach ($rows as $row) {
                $ids[] = $row->getAttribute($key);
            }
        }
        $this->read(array_filter($ids));
        $people = $this->people();
        foreach ($of as $relation => [$rows, $key]) {
            $name = str_contains($relation, ':') ? substr($relation, strpos($relation, ':') + 1) : $relation;
            foreach ($rows as $row) {
                $row->setRelation($name, $people[$row->getAttribute($key) ?? 0] ?? null);
            }
        }
    }

    /**
     * What the people of some rows are qualified for, read once.
     *
     * @param iterable<Model> $rows
     */
    public function qualifications(iterable $rows, string $key): void
    {
        $people = $this->people();
        $of = [];
        foreach ($rows as $row) {
            $of[] = $people[$row->getAttribute($key) ?? 0] ?? null;
        }
        (new Collection(array_filter($of)))->loadMissing('qualifications');
    }

    /** @param array<array-key, int> $ids */
    private function read(array $ids): void
    {
        $people = $this->people();
        $missing = array_values(array_diff(array_unique($ids), array_keys($people->getArrayCopy())));
        if ($missing !== []) {
            foreach (Person::whereIn('id', $missing)->get() as $person) {
                $people[$person->id] = $person;
            }
        }
    }
}
