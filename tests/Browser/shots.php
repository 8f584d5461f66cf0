<?php

declare(strict_types=1);

/*
 * Makes every picture in docs/screenshots/ from the demo world, at 1280×800: the same story the browser test walks,
 * stopped at each main view. Run by ./jorvel shots.
 */

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Stage;
use Tests\Browser\Visitor;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$folder = dirname(__DIR__, 2).'/docs/screenshots';
array_map(unlink(...), glob("{$folder}/*.png") ?: []);
$stage = Stage::open();
try {
    $ines = new Visitor($stage->browser(), $stage->url);
    $shot = static function (Visitor $who, string $name) use ($folder): void {
        $who->browser->executeScript('document.activeElement && document.activeElement.blur()');
        $who->shot("{$folder}/{$name}.png");
    };
    $ines->go('/')->find('input[name="login"]');
    $ines->signIn('ines')->find('[data-mark]');
    $shot($ines, '02-fleet');

    $ines->go('/library')->see('Choose a programme');
    $ines->browser->findElement(WebDriverBy::cssSelector('input[type="file"]'))
        ->sendKeys(dirname(__DIR__, 2).'/database/demo/import/programme-SKV.json');
    $ines->see('Applying this changes');

    $ines->go('/fleet/QA-VFC')->click('[data-item="61-21"] input[type="checkbox"]')
        ->click('[data-item="61-21"] button');
    $ines->browser->executeScript('window.scrollTo(0, 0)');
    $shot($ines, '04-aircraft');
    $ines->press('Make a visit of 1')->press('Make the visit and its 1 card')->see('nobody to work it');
    $visit = basename((string) parse_url($ines->browser->getCurrentURL(), PHP_URL_PATH));
    $ines->press('Assign')->find('[data-person="T27"]');
    $ines->click('[data-person="T27"] button')->see('one card is open');
    $ines->go('/floor/damage/QA-VFA')->find('[data-damage]');
    $shot($ines, '18-damage');
    $ines->go('/visits/1/board')->find('[data-board-card]');
    $shot($ines, '07-board');
    $ines->go('/visits/1/window')->find('[data-lever]');
    $shot($ines, '14-look-and-fix');
    $ines->go(
        '/visits/season?days=90',
    )->see('are kept for 90 days')->press('Propose a season')->see('Planning 90 days');
    $ines->press('Take the proposal')->see('not kept yet')->press('By bay');
    $shot($ines, '19-season');

    $ines->go('/library/write/SKV/SKV-35-11')->see('No fault')->click('[data-row="6"]')->see('Close the bottle valve');
    $shot($ines, '15-card-editor');

    $oda = (new Visitor($stage->browser(), $stage->url))->signIn('oda');
    $oda->go('/floor')->see('Mine');
    $shot($oda, '08-floor');
    $oda->press('', '//li[.//b[text()="Propeller governor check"]]')->find('[data-testid="step-1"]');
    $oda->confirm('Go on')->find('[data-testid="step-2"]');
    $oda->press('Done')->find('[data-testid="step-3"]');
    $oda->confirm('Fitted')->find('[data-testid="step-4"]');
    $oda->tool('PG-21')->type('entry', '46,2')->see('too near the limit');
    $shot($oda, '09-reading');
    $oda->type('entry', '48,5')->see('inside, 2.5')->press('Save the reading')->find('[data-testid="step-5"]');
    $oda->tool('TW-108')->type('entry', '20,5')->see('inside')->press('Save the reading')
        ->find('[data-testid="step-6"]');
    $oda->press('Set up; start the hold');
    $oda->find('input[name="entry"]');
    $oda->type('entry', '44')->see('inside')->press('Save the reading')->find('[data-testid="step-7"]');
    $oda->type('holds:oil', '72')->click('input[name="holds:friction"]')->click('input[name="holds:joined"]');
    $oda->tool('PR-05')->type('high', '64,7')->type('pickup', '19,5')->type('feather', '85')->press('Save the as-found')
        ->find('[data-testid="moves"]');
    $shot($oda, '11-rigging');
    $oda->press('Something is wrong', '//aside')
        ->type('place', 'propeller 1, blade 3')->type('extent', 'de-ice boot edge lifted over 40 mm')
        ->press('Raise the finding')->find('[data-finding]');

    $ines->go('/deferrals')->find('[data-deferral]');
    $shot($ines, '12-deferrals');
    $tor = (new Visitor($stage->browser(), $stage->url))->signIn('tor');
    $tor->go("/release/{$visit}")->find('[data-testid="blockers"]');
    $shot($tor, '13-release');
    $oda->go('/floor')->see('Mine')->press('', '//li[.//b[text()="Gear extension by hand pump"]]')
        ->find('[data-testid="holds"]');
    $shot($oda, '01-held');
    $oda->go('/floor/registers/QC-TAC')->find('[data-device]');
    $shot($oda, '03-safing-register');
    $ines->go('/crew/shift?base=Port%20Ellery&date=2026-05-06&shift=early')->find('[data-slot]');
    $shot($ines, '05-shift');
    $ivo = (new Visitor($stage->browser(), $stage->url))->signIn('ivo');
    $ivo->go('/bench/recordings')->press('Bring in a recording')->choose('mark', 'Q-404')
        ->type('begun', '2026-05-05T07:00:00Z')->press('From the simulator')->find('[data-testid="seen"]');
    $ivo->press('Save it', '//*[@role="dialog"]')->find('section[aria-label^="Signals"] path');
    $shot($ivo, '10-recording');
    $ines->go('/floor/line')->find('[data-line]');
    $shot($ines, '06-line');
    $ines->go('/fleet/stagger')->find('[data-stagger]');
    $shot($ines, '16-stagger');
    $walk = $stage->database()->query('select finding_id from fault_walks order by id desc limit 1')->fetchColumn();
    $ivo->go("/bench/findings/{$walk}")->see('F0049');
    $shot($ivo, '17-fault-tree');
    $tor->go('/fleet')->find('[data-mark]');
    echo count(glob("{$folder}/*.png") ?: [])," pictures in docs/screenshots/\n";
} finally {
    $stage->close();
}
