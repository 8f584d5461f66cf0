<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use App\Library\Model\Figure;
use OpenApi\Attributes as OA;

/** A drawing of one's own, whole, so that it is there without a connection too. */
#[OA\Schema]
final readonly class FigureView
{
    public function __construct(
        #[OA\Property] public string $type,
        #[OA\Property] public string $code,
        #[OA\Property] public int $version,
        #[OA\Property] public string $title,
        #[OA\Property] public int $width,
        #[OA\Property] public int $height,
        #[OA\Property] public string $src,
    ) {}

    public static function of(Figure $f, string $type): self
    {
        return new self($type, $f->code, $f->version, $f->title, $f->width, $f->height, $f->src());
    }
}
