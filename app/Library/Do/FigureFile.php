<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Shared\Refused;
use DOMDocument;
use DOMElement;

/** A drawing as it is brought: an SVG of plain shapes, or a PNG, made anew so that nothing else is in it. */
final readonly class FigureFile
{
    /** So that a card with a few of them still opens at once, also where there is no connection. */
    private const MOST_BYTES = 300_000;

    private const MOST_SIDE = 1600;

    private const ELEMENTS = [
        'svg', 'g', 'path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon', 'text', 'tspan', 'title',
        'desc',
    ];

    private const ATTRIBUTES = [
        'd', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'cx', 'cy', 'r', 'rx', 'ry', 'dx', 'dy', 'width', 'height', 'viewBox',
        'points', 'transform', 'fill', 'fill-opacity', 'fill-rule', 'stroke', 'stroke-width', 'stroke-opacity',
        'stroke-dasharray', 'stroke-linecap', 'stroke-linejoin', 'opacity', 'font-size', 'font-family', 'font-weight',
        'font-style', 'text-anchor', 'id', 'version', 'xmlns',
    ];

    private function __construct(
        public string $mime,
        public int $width,
        public int $height,
        public string $bytes,
    ) {}

    /** @throws Refused for what is neither, too large, or an SVG with more than shapes and text in it */
    public static function read(string $bytes): self
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw Refused::because('The figure has more than 300 kB. Draw it with less, or take it smaller. Nothing '
                .'was saved.');
        }

        return str_starts_with($bytes, "\x89PNG") ? self::png($bytes) : self::svg($bytes);
    }

    private static function png(string $bytes): self
    {
        $size = @getimagesizefromstring($bytes);
        if ($size === false || max($size[0], $size[1]) > self::MOST_SIDE) {
            throw Refused::because($size === false
                ? 'The picture is broken. Nothing was saved.'
                : 'The picture has more than '.self::MOST_SIDE.' points on a side. Take it smaller. Nothing was saved.');
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw Refused::because('The picture is broken. Nothing was saved.');
        }
        imagesavealpha($image, true);
        ob_start();
        imagepng($image, null, 9);

        return new self('image/png', $size[0], $size[1], (string) ob_get_clean());
    }

    private static function svg(string $bytes): self
    {
        $xml = new DOMDocument;
        // No entity, no network: a figure is what stands in it.
        $sound = ! str_contains($bytes, '<!DOCTYPE') && ! str_contains($bytes, '<!ENTITY')
            && @$xml->loadXML($bytes, LIBXML_NONET);
        $root = $sound ? $xml->documentElement : null;
        if ($root === null || $root->localName !== 'svg') {
            throw Refused::because('This is no SVG and no PNG. Nothing was saved.');
        }
        self::requirePlain($root);
        $box = array_map(floatval(...), preg_split('/[\s,]+/', trim($root->getAttribute('viewBox'))) ?: []);
        if (count($box) !== 4 || $box[2] <= 0 || $box[3] <= 0) {
            throw Refused::because('The SVG has no viewBox "0 0 width height". Nothing was saved.');
        }
        $root->setAttribute('width', (string) $box[2]);
        $root->setAttribute('height', (string) $box[3]);

        return new self('image/svg+xml', (int) ceil($box[2]), (int) ceil($box[3]), (string) $xml->saveXML($root));
    }

    private static function requirePlain(DOMElement $at): void
    {
        if (! in_array($at->localName, self::ELEMENTS, true)) {
            throw Refused::because("An SVG for a card has shapes and text only; this one has <{$at->localName}>. Nothing "
                .'was saved.');
        }
        foreach ($at->attributes as $attribute) {
            if (! in_array($attribute->nodeName, self::ATTRIBUTES, true)
                || preg_match('/url\s*\(|javascript:|data:/i', (string) $attribute->nodeValue) === 1) {
                throw Refused::because("An SVG for a card has shapes and text only; <{$at->localName}> has "
                    ."\"{$attribute->nodeName}\". Nothing was saved.");
            }
        }
        foreach ($at->childNodes as $child) {
            if ($child instanceof DOMElement) {
                self::requirePlain($child);
            }
        }
    }
}
