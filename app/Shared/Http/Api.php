<?php

declare(strict_types=1);

namespace App\Shared\Http;

use Attribute;

/**
 * What the API's description says of a controller's method, beyond what its route and its request's rules say already:
 * `#[Api('board', BoardView::class, 'Cards on zones and time')]`.
 */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Api
{
    /**
     * @param string $name of the operation, by which clients call it
     * @param class-string|string|list<string>|null $answers a view, a JSON type, a list of either (`[Row::class]`), or
     *   null where the answer is a file
     * @param string $says what is answered
     * @param int $status of an answer that went well
     * @param string|null $takes the JSON type of what is sent, where no request's rules say it
     * @param bool $orNull whether there may be nothing to answer
     */
    public function __construct(
        public string $name,
        public string|array|null $answers,
        public string $says,
        public int $status = 200,
        public ?string $takes = null,
        public bool $orNull = false,
    ) {}
}
