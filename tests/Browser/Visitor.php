<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverExpectedCondition;
use Facebook\WebDriver\WebDriverKeys;
use RuntimeException;

/** Somebody at a browser: finds things by what they say, as a person would. */
final readonly class Visitor
{
    public function __construct(public RemoteWebDriver $browser, public string $url) {}

    public function signIn(string $login, string $password = 'hangar-demo'): self
    {
        $this->browser->get("{$this->url}/");
        $this->type('login', $login);
        $this->type('password', $password);
        $this->press('Sign in');
        $this->see('Fleet');
        $this->find('[data-testid="me"]');

        return $this;
    }

    public function go(string $path): self
    {
        $this->browser->get($this->url.$path);

        return $this;
    }

    public function find(string $css, int $seconds = 60): RemoteWebElement
    {
        $by = WebDriverBy::cssSelector($css);
        $this->await(WebDriverExpectedCondition::visibilityOfElementLocated($by), "Nothing at {$css}", $seconds);

        return $this->browser->findElement($by);
    }

    public function click(string $css): self
    {
        $by = WebDriverBy::cssSelector($css);
        $this->await(WebDriverExpectedCondition::elementToBeClickable($by), "Cannot click {$css}");
        $this->tap($by, true);

        return $this;
    }

    /** Clicks what is there; where something lies over it, or it moves just then, once more, as a person would. */
    private function tap(WebDriverBy $by, bool $scroll = false): void
    {
        for ($n = 0; ; $n++) {
            try {
                $element = $this->browser->findElement($by);
                if ($scroll) {
                    $this->browser->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$element]);
                }
                $element->click();

                return;
            } catch (ElementClickInterceptedException|StaleElementReferenceException $e) {
                $n < 25 || throw $e;
                usleep(200_000);
            }
        }
    }

    /** Presses the button or link that begins with these words. */
    public function press(string $words, string $within = ''): self
    {
        $quoted = str_contains($words, "'") ? "\"{$words}\"" : "'{$words}'";
        $scope = $within === '' ? '' : $within;
        $by = WebDriverBy::xpath("{$scope}//*[self::button or self::a][starts-with(normalize-space(.), {$quoted})]");
        $this->await(WebDriverExpectedCondition::elementToBeClickable($by), "No button \"{$words}\"");
        $this->tap($by);

        return $this;
    }

    /** Counts everything that went out back in, in the dialog that signs. */
    public function backIn(): self
    {
        $this->find('[role="dialog"]');
        foreach ($this->browser->findElements(WebDriverBy::cssSelector('[role="dialog"] fieldset '
            .'input[type="checkbox"]')) as $back) {
            $back->click();
        }

        return $this;
    }

    /** Says with the box what is asked to be said, then presses; a step asks for both. */
    public function confirm(string $words): self
    {
        return $this->click('[data-testid^="step-"] input[type="checkbox"]')->press($words);
    }

    /** Takes a tool in hand from the list, by its code. */
    public function tool(string $code): self
    {
        $this->find('select[name="tool"]');
        $this->browser->findElement(WebDriverBy::xpath("//select[@name='tool']/option[@value='{$code}']"))->click();

        return $this;
    }

    /** One of a list, by its value. */
    public function choose(string $name, string $value): self
    {
        $this->find("select[name=\"{$name}\"]");
        $this->browser->findElement(WebDriverBy::xpath(
            "//select[@name='{$name}']/option[@value='{$value}' or normalize-space()='{$value}']",
        ))->click();

        return $this;
    }

    public function type(string $name, string $text): self
    {
        $field = $this->find("input[name=\"{$name}\"]");
        $field->sendKeys(WebDriverKeys::CONTROL.'a');
        $field->sendKeys($text);

        return $this;
    }

    public function see(string $words, int $seconds = 60): self
    {
        return $this->await(
            fn(): bool => str_contains($this->text(), $words),
            "\"{$words}\" is not to be seen",
            $seconds,
        );
    }

    /** Waits for something; where it never comes, what is on the page instead is said. */
    private function await(callable|WebDriverExpectedCondition $for, string $else, int $seconds = 60): self
    {
        try {
            $this->browser->wait($seconds, 100)->until($for);
        } catch (TimeoutException|NoSuchElementException) {
            throw new RuntimeException("{$else} in: ".$this->text());
        }

        return $this;
    }

    public function text(): string
    {
        return (string) $this->browser->executeScript('return document.body.innerText');
    }

    /**
     * Does by the API what is not the point of the thread.
     *
     * @param array<string, mixed> $body
     */
    public function post(string $path, array $body): void
    {
        $said = $this->browser->executeAsyncScript(
            'const [path, body, done] = arguments; const token = /XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1];
             fetch(path, { method: "POST", body: JSON.stringify(body), headers: { Accept: "application/json",
             "Content-Type": "application/json", "X-XSRF-TOKEN": decodeURIComponent(token),
             "Idempotency-Key": crypto.randomUUID() } }).then((r) => done(r.status))',
            ["/api/{$path}", $body],
        );
        in_array($said, [200, 201], true) || throw new RuntimeException("{$path} is answered {$said}.");
    }

    public function shot(string $path): void
    {
        // Its letters are there, and nothing moves any more.
        $this->browser->wait(10, 50)->until(fn(): bool => (bool) $this->browser->executeScript(
            'return document.fonts.status === "loaded" && document.getAnimations().every((a) => a.playState !== '
                    .'"running")',
        ));
        $this->browser->takeScreenshot($path);
    }
}
