<?php

declare(strict_types=1);

namespace Tests\Browser;

use Rheacid\Core\Batches\BatchState;
use Rheacid\Models\Deviation;
use Rheacid\Models\Product;

/** A product from the library, a batch begun in three touches, and a breach that two people see to its end. */
final class BatchTest extends BrowserTestCase
{
    public function test_a_product_is_added_and_changed_and_a_batch_of_it_is_started_and_moved_on(): void
    {
        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens('/products')
            ->taps('Kombucha')
            ->sees('low certainty: check with your authority')
            ->taps('Adopt product')
            ->sees(' adopted.')
            ->taps('Change product')
            ->sees('Saving creates version 2')
            ->fills('What changed and why', 'we go down to 3.9');
        $sela
            ->taps('Critical, within 168 h')
            ->browser->executeScript(
                "const field = document.querySelector('details[open] [name$=\"[high]\"]'); field.value = '3,9'; "
                    . "field.dispatchEvent(new Event('input', { bubbles: true }));",
            );
        $sela->waitsUntil(
            static fn(): bool => str_contains(
                (string) $sela->browser->executeScript("return document.querySelector('#drawn').textContent"),
                '≤ 3.9 from day 7',
            ),
            'the limit to be drawn while it is typed',
        );
        $sela->taps('Save as version 2')->sees('Version 2 saved.');
        self::assertSame(2, Product::query()->where('code', 'kombucha')->max('version'));

        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE)->opens('/batches');
        $oda->taps('Start batch')
            ->sees('Choose a product')
            ->browser->executeScript(
                "document.querySelector('a[href$=\"product="
                    . Product::query()
                        ->where(['code' => 'kombucha', 'version' => 2])
                        ->sole()->id
                    . "\"]').click()",
            );
        $oda->sees('next number suggested')->fills('Vessel', 'jar 3')->fills('Size', '12 L')->taps('Start batch')->sees(' started.');
        $oda->taps('Pitched now')->sees('Pitched: noted.')->sees('History');
    }

    public function test_a_broken_limit_is_acted_on_and_decided_and_the_batch_goes_on(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([6.4, 6.4]);
        $batch = $this->batch();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/batches/$batch->id")
            ->sees('Held.')
            ->taps('Open deviation')
            ->sees('second verified instrument')
            ->fills('Action taken', 'acid added, stirred')
            ->taps('Record action')
            ->sees('Action recorded.');
        self::assertStringNotContainsString('Record decision', $oda->page(), 'a checker is not offered it');

        $this->calibrate(electrode: 'E-05');
        $this->vouch(electrode: 'E-05');
        $this->measure([6.2, 6.2], electrode: 'E-05');
        $oda->opens("/batches/$batch->id")->sees('Two instruments differ by more than 0.1 pH. Use a third.');

        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens('/deviations/' . Deviation::query()->sole()->id)
            ->sees('acid added, stirred')
            ->fills('Reason', 'measured again within the hour')
            ->taps('Record decision')
            ->sees('Choose what happens to the batch')
            ->chooses('disposition', 'go-on')
            ->taps('Record decision')
            ->sees('Resume the batch.');
        $sela
            ->taps('Open batch')
            ->sees('Release checks')
            ->taps('Resume batch')
            ->fills('Reason', 'decided')
            ->browser->executeScript("document.querySelector('#move button[value=running]').click()");
        $sela->sees('is running.');

        self::assertSame(BatchState::Running, $this->batch()->state());
    }
}
