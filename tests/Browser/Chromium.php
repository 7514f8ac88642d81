<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

/**
 * A headless Chromium of a given size, driven through ChromeDriver on a free port of this machine. To start one takes longer than
 * many a test, so whoever is done leaves it to the next: an empty tab, without cookies or anything stored.
 */
final class Chromium
{
    /** @var list<self> */
    private static array $free = [];

    /** @var resource */
    private $process;

    private function __construct(
        public readonly RemoteWebDriver $driver,
        mixed $process,
        private readonly string $profile,
        private readonly bool $scripts,
    ) {
        assert(is_resource($process));
        $this->process = $process;
    }

    public static function open(int $width = 1280, int $height = 800, bool $dark = false, bool $scripts = true): self
    {
        $chromium = ($scripts ? array_pop(self::$free) : null) ?? self::start($scripts);
        $chromium->tells('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => $width < 600,
        ]);
        $chromium->tells('Emulation.setTouchEmulationEnabled', ['enabled' => $width < 600]);
        $chromium->prefers($dark ? 'dark' : 'light');

        return $chromium;
    }

    private static function start(bool $scripts): self
    {
        $port = self::freePort();
        $profile = sys_get_temp_dir() . '/rheacid-chromium-' . bin2hex(random_bytes(6));
        $process = proc_open(
            ['/usr/bin/chromedriver', "--port=$port", '--log-level=OFF'],
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
            $pipes,
        );
        $options = new ChromeOptions();
        $options->setBinary('/usr/bin/chromium');
        $options->addArguments([
            '--headless=new',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-dev-shm-usage',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--hide-scrollbars',
            "--user-data-dir=$profile",
            '--window-size=1280,800',
        ]);
        if (!$scripts) {
            $options->setExperimentalOption('prefs', ['profile.managed_default_content_settings.javascript' => 2]);
        }
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $deadline = microtime(true) + 20;
        while (true) {
            try {
                $driver = RemoteWebDriver::create("http://127.0.0.1:$port", $capabilities, 30_000, 60_000);
                break;
            } catch (\Throwable $notYet) {
                if (microtime(true) > $deadline) {
                    throw $notYet;
                }
                usleep(150_000);
            }
        }
        $chromium = new self($driver, $process, $profile, $scripts);
        register_shutdown_function($chromium->close(...));

        return $chromium;
    }

    public function picture(string $file): void
    {
        file_put_contents($file, $this->driver->takeScreenshot());
    }

    /** What the browser's own settings ask of a page: the light or the dark scheme. */
    public function prefers(string $scheme): void
    {
        $this->tells('Emulation.setEmulatedMedia', ['features' => [['name' => 'prefers-color-scheme', 'value' => $scheme]]]);
    }

    /**
     * A command of the browser's own protocol, for the tab in front.
     *
     * @param array<string, mixed> $parameters
     */
    public function tells(string $command, array $parameters = []): void
    {
        $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => $command,
            'params' => $parameters === [] ? new \stdClass() : $parameters,
        ]);
    }

    /**
     * For the next person, in a new tab: what was set for this one ends with the old.
     *
     * @param string $address of which nothing stays stored
     */
    public function leave(string $address): void
    {
        if (!$this->scripts) {
            $this->close();

            return;
        }
        $tabs = $this->driver->getWindowHandles();
        $this->driver->switchTo()->newWindow();
        $new = $this->driver->getWindowHandle();
        foreach ($tabs as $tab) {
            $this->driver->switchTo()->window($tab)->close();
        }
        $this->driver->switchTo()->window($new);
        $this->tells('Network.clearBrowserCookies');
        $this->tells('Storage.clearDataForOrigin', ['origin' => $address, 'storageTypes' => 'all']);
        self::$free[] = $this;
    }

    /** Also called when a script ends early, so that no browser outlives it. */
    public function close(): void
    {
        if (!is_resource($this->process)) {
            return;
        }
        try {
            $this->driver->quit();
        } finally {
            proc_terminate($this->process);
            proc_close($this->process);
            exec('rm -rf ' . escapeshellarg($this->profile));
        }
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        assert($socket !== false);
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }
}
