<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Rheacid\Models\Person;
use Rheacid\Models\SiteSetting;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Rights\Right;
use Rheacid\Settings;

/** From now on the site calls itself, writes its numbers and lets its leads in like this. */
final class ChangeSettings
{
    /** @throws Refused if leads are to need a code while who says so has none: nobody shuts themselves out */
    public function __invoke(Person $by, IdempotencyKey $form, string $name, bool $fahrenheitFirst, bool $decimalComma, bool $leadsNeedCode): SiteSetting
    {
        $settings = Recording::once($by, $form, 'change the settings of the site', SiteSetting::class, static function (Entry $entry) use ($by, $name, $fahrenheitFirst, $decimalComma, $leadsNeedCode): SiteSetting {
            if ($leadsNeedCode && $by->credential?->hasCode() !== true) {
                throw Refused::because('Set up a code of your own first, under your name at the top: the next sign-in asks for it.', 'leads_need_code');
            }

            return $entry->add(new SiteSetting(['name' => $name, 'fahrenheit_first' => $fahrenheitFirst, 'decimal_comma' => $decimalComma, 'leads_need_code' => $leadsNeedCode, 'at' => $entry->at, 'person_id' => $by->id]));
        }, Right::Lead);
        Settings::forget();

        return $settings;
    }
}
