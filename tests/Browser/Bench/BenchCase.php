<?php

declare(strict_types=1);

namespace Tests\Browser\Bench;

use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;
use Tests\Browser\WorksSteps;

/** Cards of Bench, each worked by somebody in the real interface. */
abstract class BenchCase extends BrowserCase
{
    use WorksSteps;

    /** @var array<string, Visitor> by login */
    protected static array $people = [];

    protected static function enter(): void
    {
        self::$people = ['ines' => self::visitor('ines')];
        // The revision of a manual that came since is another test's matter.
        self::$stage->database()->exec('update card_templates set revision = (select revision from manuals m
            where m.id = manual_id)');
    }

    protected static function hand(string $login): Visitor
    {
        return self::$people[$login] ??= self::visitor($login, true);
    }

    final protected function cardOf(string $mark, string $code, string $login): int
    {
        $template = self::number("select id from card_templates where code = '{$code}'");
        $title = "Tests {$mark}";
        $ines = self::$people['ines'];
        $visit = self::number("select coalesce(max(id), 0) from visits where title = '{$title}'");
        if ($visit === 0) {
            $item = self::number("select id from programme_items where type_id = (select type_id from card_templates
                where id = {$template}) and line is null and component is null and template_id != {$template}
                and code not like '05%' order by id limit 1");
            $ines->post('visits', [
                'mark' => $mark, 'title' => $title, 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-08',
                'items' => [$item],
            ]);
            $visit = self::number("select id from visits where title = '{$title}'");
        }
        $ines->post("visits/{$visit}/cards", ['template' => $template]);
        $card = self::number("select max(id) from cards where visit_id = {$visit} and template_id = {$template}");
        // Only the card itself is the point: what its visit does first is done, and so is the check that brought it.
        self::$stage->database()->exec("update cards set state = 'closed' where visit_id = {$visit} and id != {$card}");
        self::$stage->database()->exec("update visits set state = 'in_work' where id = {$visit}");
        self::$stage->database()->exec("update tool_loans set in_at = out_at where in_at is null and card_id in
            (select c.id from cards c join visits v on v.id = c.visit_id where v.title like 'Tests %')");
        $person = self::number("select id from people where login = '{$login}'");
        $ines->post("cards/{$card}/assignments", ['person' => $person, 'role' => 'perform']);

        return $card;
    }

    /** What stands before a step is done: it is another thread's matter. */
    final protected function upTo(int $card, string $title): void
    {
        $no = self::number("select min(no) from steps where card_id = {$card} and title like '{$title}%'");
        self::assertGreaterThan(0, $no, $title);
        self::$stage->database()->exec("update steps set state = 'done', result = coalesce(result, '{}')
            where card_id = {$card} and no < {$no} and state = 'open' and kind != 'rollcall'");
    }

    protected function onNotSuccessfulTest(\Throwable $t): never
    {
        foreach (self::$people as $login => $who) {
            $who->shot(sys_get_temp_dir()."/jorvel-failed-{$login}.png");
        }
        parent::onNotSuccessfulTest($t);
    }
}
