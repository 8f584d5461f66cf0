<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Jorvel\Core\Bench\SheetChart;
use Jorvel\Core\Shared\Unit;
use Tests\InOrder;

/**
 * Somebody who works the steps of a test on the Floor, each by its own controls and with an answer that is in order.
 */
trait WorksSteps
{
    /** Somebody of the crew at a device of their own. */
    abstract protected static function hand(string $login): Visitor;

    /**
     * The step that stands open on a card, worked once.
     *
     * @param array<string, string> $but points, lamps, conditions or the one entry that are otherwise
     */
    protected static function workStep(Visitor $who, int $card, array $but = []): void
    {
        $step = self::openStep($card);
        $spec = $step['spec'];
        $who->find("[data-testid=\"step-{$step['no']}\"]");
        $one = static fn(string $else): string => $but['entry'] ?? $else;
        match ($step['kind']) {
            'attempt' => self::fill($who, InOrder::conditions($spec), $but)->press('Begin the attempt'),
            'verdict' => $who->press('Save the verdict'),
            'caution' => $spec['level'] === 'warning' ? $who->confirm('Go on') : $who->press('Go on'),
            'safing_fit' => $who->confirm('Fitted'),
            'safing_remove' => $who->confirm('Removed'),
            'instruction' => $who->press('Done'),
            'finding_prompt' => $who->press('Looked at'),
            'answer' => $who->press(self::choice($spec, $one('')))->press('Save the answer'),
            'count' => $who->type('entry', $one((string) ($spec['min'] ?? 0)))->press('Save the count'),
            'timing' => $who->type('entry', $one((string) InOrder::inside($spec['reading']['limit'])))
                ->press('Save the time'),
            'measurement', 'torque' => self::takes($who, $spec['reading'])
                ->type('entry', $one(self::asShown($spec['reading'])))->press('Save the reading'),
            'reference' => self::takes($who, $spec)->type('entry', $one('37'))->press('Record it'),
            'transition' => self::fill($who, [
                'high' => '38', 'low' => '36', ...isset($spec['partner']) ? ['partner' => '37.5'] : [],
            ], $but)->press('Save what was seen'),
            'sequence' => self::touch($who, $spec, $but),
            'indication' => self::seen($who, array_column($spec['sources'], 'title', 'id'), $but, 'Yes', 'No')
                ->press('Save what they say'),
            'selftest' => self::selfTest($who, $spec, $but),
            'precharge' => self::takes($who, $spec['reading'])
                ->type('fall', $one(self::falling($spec['reading'])))->press('Save the pre-charge'),
            'sheet' => self::sheet($who, $step, $but),
            'hold', 'stabilise' => self::heldFor($who, $card, (int) ($spec['seconds'] ?? $spec['hold']['seconds'])),
            'leak' => self::leak($who, $card, $spec, $one('37')),
            'rollcall' => self::called($who, $card, $step),
            'circuit', 'inspection', 'compare' => self::elsewhere($who, $card, $step['id']),
            default => throw new \LogicException("Nobody has shown me how to work a {$step['kind']}."),
        };
    }

    /**
     * @return array{id: int, no: int, kind: string, title: string, spec: array<string, mixed>, result: array<string,
     *   mixed>}
     */
    protected static function openStep(int $card): array
    {
        $row = self::$stage->database()->query("select id, no, kind, title, spec, result from steps
            where card_id = {$card} and state = 'open' order by no limit 1")->fetch(\PDO::FETCH_ASSOC);
        self::assertIsArray($row, 'a step is open');

        return [
            ...$row, 'spec' => json_decode($row['spec'], true), 'result' => json_decode($row['result'] ?? '{}', true),
        ];
    }

    /**
     * Works from the step that stands open up to the first that begins with these words; that is left.
     */
    protected static function workTo(Visitor $who, int $card, string $title): void
    {
        for ($n = 0; $n < 60; $n++) {
            $step = self::openStep($card);
            if (str_starts_with($step['title'], $title)) {
                $who->find("[data-testid=\"step-{$step['no']}\"]");

                return;
            }
            self::workStep($who, $card);
            self::isPast($who, $card, $step);
        }
        self::fail("\"{$title}\" never came");
    }

    /** @param array{no: int, kind: string, title: string, result: array<string, mixed>} $step */
    protected static function isPast(Visitor $who, int $card, array $step): void
    {
        $who->browser->wait(20, 60)->until(static function () use ($card, $step): bool {
            $now = self::openStep($card);

            // A sheet that is read as found and as left is open between the two.
            return $now['no'] !== $step['no'] || $step['kind'] === 'sheet' && $now['result'] !== $step['result'];
        }, "step {$step['no']}, {$step['title']}, is not taken: ".mb_substr($who->text(), 0, 1500));
    }

    /**
     * @param array<string, string> $values
     * @param array<string, string> $but
     */
    protected static function fill(Visitor $who, array $values, array $but): Visitor
    {
        foreach ([...$values, ...array_intersect_key($but, $values)] as $name => $value) {
            $who->type($name, $value);
        }

        return $who;
    }

    /** @param array<string, mixed> $spec */
    protected static function choice(array $spec, string $id): string
    {
        foreach ($spec['choices'] as $c) {
            if ($id === '' ? $c['verdict'] === 'pass' && ! ($c['unusual'] ?? false) : $c['id'] === $id) {
                return $c['title'];
            }
        }
        self::fail("no answer {$id}");
    }

    /** @param array<string, mixed> $reading */
    protected static function takes(Visitor $who, array $reading): Visitor
    {
        return isset($reading['tool_kind'])
            ? $who->tool(self::toolOf($reading['tool_kind'], $reading['limit'] ?? null))
            : $who;
    }

    /** @param array<string, mixed>|null $limit */
    protected static function toolOf(string $kind, ?array $limit): string
    {
        $value = $limit === null ? 'low' : InOrder::inside($limit);
        $unit = $limit === null ? '' : "and unit = '{$limit['unit']}'";

        return self::scalar("select code from tools where kind = '{$kind}' and state = 'in' and cal_due > '2026-05-06'
            and {$value} between low and high {$unit} order by id in (select tool_id from tool_loans where in_at is null
            and tool_id is not null), uncertainty, code limit 1");
    }

    /** @param array<string, mixed> $reading */
    protected static function asShown(array $reading): string
    {
        $value = InOrder::inside($reading['limit']);
        $code = isset($reading['tool_kind']) ? self::toolOf($reading['tool_kind'], $reading['limit']) : '';
        $step = $code === ''
            ? 0.01
            : (float) self::scalar("select coalesce(resolution, 0.01) from tools where code = '{$code}'");

        return (string) round(round($value / $step) * $step, 4);
    }

    /** @param array<string, mixed> $reading readings that fall a little each time, and then to nought */
    protected static function falling(array $reading): string
    {
        $at = (int) InOrder::inside($reading['limit']);

        return implode(' ', [$at + 15, $at + 10, $at + 5, $at, 0]);
    }

    /**
     * @param array<string, string> $titles by id
     * @param array<string, string> $but
     */
    protected static function seen(Visitor $who, array $titles, array $but, string $yes, string $no): Visitor
    {
        foreach ($titles as $id => $title) {
            $word = ($but[$id] ?? 'yes') === 'yes' ? $yes : $no;
            $who->click("button[aria-label=\"{$title}: {$word}\"]");
        }

        return $who;
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, string> $but by item, its place
     */
    protected static function touch(Visitor $who, array $spec, array $but): Visitor
    {
        $titles = array_column($spec['items'], 'title', 'id');
        $order = $spec['order'];
        if ($but !== []) {
            asort($but);
            $order = array_map(static fn(string $id): array => [$id], array_keys($but));
        }
        foreach ($order as $group) {
            foreach ($group as $i => $id) {
                $i === 0 ? $who : $who->press('Next: together');
                $who->press($titles[$id]);
            }
        }

        return $who->press('Save the order');
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, string> $but
     */
    protected static function selfTest(Visitor $who, array $spec, array $but): Visitor
    {
        $screens = [];
        foreach ($spec['screens'] ?? [] as $i => $s) {
            $screens[$s['id']] = ($i + 1).". {$s['title']}";
        }
        self::seen($who, $screens, $but, 'Shown', 'Not shown');
        foreach ($spec['channels'] as $c) {
            isset($but[$c])
                ? $who->type("code-{$c}", $but[$c])
                : $who->press('Passed', "//fieldset[legend[. = 'Channel {$c}']]");
        }

        return $who->press('Save the results');
    }

    /**
     * Enter goes from point to point.
     *
     * @param array{spec: array<string, mixed>, result: array<string, mixed>} $step
     * @param array<string, string> $but
     */
    protected static function sheet(Visitor $who, array $step, array $but): Visitor
    {
        ['spec' => $spec, 'result' => $result] = $step;
        $points = array_column($spec['points'], null, 'id');
        $kinds = $values = [];
        foreach ($points as $id => $p) {
            $unit = Unit::parse($p['unit']);
            $chart = isset($p['chart']) ? SheetChart::from($p['chart']) : null;
            $limit = $chart?->limit($values, Unit::parse($points[$chart->by]['unit']), $unit) ?? $p['limit'] ?? null;
            $value = round(
                $limit === null ? 14.0 : InOrder::inside($limit),
                $p['unit'] === 'mm' && $chart === null ? 1 : 0,
            );
            $values[$id] = (float) ($but[$id] ?? $value);
            if (isset($p['tool_kind'])) {
                $kinds[$p['tool_kind']] ??= self::toolOf($p['tool_kind'], $p['unit'] === 'N' ? null : $limit);
            }
        }
        foreach ($kinds as $kind => $code) {
            $who->browser->findElement(WebDriverBy::xpath(
                "//label[span[translate(., 'ABCDEFGHIJKLMNOPQRSTUVWXYZ', 'abcdefghijklmnopqrstuvwxyz') = '{$kind}']]"
                    ."/select/option[@value='{$code}']",
            ))->click();
        }
        $who->click('input[name="point-'.array_key_first($points).'"]');
        foreach (array_keys($points) as $id) {
            $at = $who->browser->switchTo()->activeElement();
            self::assertSame("point-{$id}", $at->getAttribute('name'), 'Enter goes to the next point');
            $at->sendKeys((string) $values[$id]);
            $id === array_key_last($points) || $at->sendKeys(WebDriverKeys::ENTER);
        }

        // What is said of the last one has come; then nothing moves any more.
        $judged = array_key_last(array_filter(
            $points,
            static fn(array $p): bool => isset($p['chart']) || isset($p['limit']),
        ));
        $judged === null || $who->find("label[for=\"point-{$judged}\"] [aria-live] b");

        return $who->press(match (true) {
            ! ($spec['left'] ?? false) => 'Save the readings',
            isset($result['run']) => 'Save as left',
            default => 'Save as found',
        });
    }

    protected static function heldFor(Visitor $who, int $card, int $seconds): Visitor
    {
        $who->press('Start the');
        $who->see('Holding');
        self::later($seconds + 2);

        return $who->go("/floor/{$card}")->press('It held');
    }

    /** @param array<string, mixed> $spec */
    protected static function leak(Visitor $who, int $card, array $spec, string $end): Visitor
    {
        if (! isset($spec['from'])) {
            self::takes($who, $spec)->type('entry', '37')->type('temp', '12')->press('Save the start')->see('Start:');
            self::later((int) ($spec['minutes'] * 60) + 2);
            $who->go("/floor/{$card}");
        } else {
            self::later((int) ($spec['minutes'] * 60) + 2);
        }

        return self::takes($who, $spec)->type('entry', $end)->type('temp', '12')->press('Save the end');
    }

    /**
     * Everybody is called at their place, and who signs the briefing does so on a device of their own.
     *
     * @param array{id: int, no: int, spec: array<string, mixed>, result: array<string, mixed>} $step
     */
    protected static function called(Visitor $who, int $card, array $step): Visitor
    {
        ['id' => $id, 'no' => $no, 'spec' => $spec] = $step;
        $me = self::scalar(
            "select p.name from people p join assignments a on a.person_id = p.id where a.card_id = {$card}",
        );
        $others = array_values(array_diff(['Lio Kest', 'Oda Fenn', 'Runa Vale', 'Ines Maro'], [$me]));
        foreach ($spec['places'] as $place) {
            $name = match ($place) {
                $spec['lead'] ?? null => $me,
                $spec['signs'] ?? null => 'Noor Hadley',
                default => (string) array_shift($others),
            };
            $field = WebDriverBy::cssSelector("input[aria-label=\"Who stands at {$place}\"]");
            if (isset($step['result']['calls'][$place])) {
                // They were called for the attempt before, and are called again for this one.
                $who->press('Call again', "//li[@data-place='{$place}']");
                continue;
            }
            $who->find($field->getValue())->sendKeys($name.WebDriverKeys::ENTER);
            self::until(static fn(): bool => $who->browser->findElements($field) === []);
        }
        if (isset($spec['signs'])) {
            self::hand('noor')->post("cards/{$card}/steps/{$no}/briefed", ['stamp' => 'T44', 'pin' => '4450']);
            $who->go("/floor/{$card}");
        }

        return $who->press('All clear');
    }

    /** What goes round the whole aircraft, or needs another, is worked in threads of its own. */
    protected static function elsewhere(Visitor $who, int $card, int $step): Visitor
    {
        self::$stage->database()->exec("update steps set state = 'done', result = '{}' where id = {$step}");

        return $who->go("/floor/{$card}");
    }

    /** The clock of the demo goes on. */
    protected static function later(int $seconds): void
    {
        self::$stage->database()->exec("update settings set value = value + {$seconds} where name = 'clock_offset'");
    }
}
