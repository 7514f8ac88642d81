<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Rheacid\Board\Restyle;
use Rheacid\Core\Access\Right;
use Rheacid\Guard\People;
use Rheacid\Models\Person;
use Rheacid\Models\SiteSetting;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\Settings;

/** From now on the site calls itself, writes its numbers and lets its leads in like this. */
final class ChangeSettings
{
    /**
     * @param Person|null $second another lead, who agrees that four eyes are switched off
     *
     * @throws Refused if leads are to need a code while who says so has none: nobody shuts themselves out
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        string $name,
        bool $fahrenheitFirst,
        bool $decimalComma,
        bool $leadsNeedCode,
        bool $fourEyes = false,
        ?Person $second = null,
    ): SiteSetting {
        $before = Settings::now()->fourEyes;
        $settings = Recording::once(
            $by,
            $form,
            'change the settings of the site',
            SiteSetting::class,
            static function (Entry $entry) use (
                $by,
                $name,
                $fahrenheitFirst,
                $decimalComma,
                $leadsNeedCode,
                $fourEyes,
                $second,
                $before,
            ): SiteSetting {
                if ($leadsNeedCode && $by->credential?->hasCode() !== true) {
                    throw Refused::because(
                        'Set up your own authenticator first (on your page): your next sign-in needs it.',
                        'leads_need_code',
                    );
                }
                if ($fourEyes && !$before && People::leads() < 2) {
                    throw Refused::because('Four-eyes release needs two active leads.', 'four_eyes');
                }
                if (!$fourEyes && $before && ($second === null || $second->id === $by->id || !$second->may(Right::Lead))) {
                    throw Refused::because(
                        'Switching four-eyes release off needs a second lead: type their sign-in name and passphrase.',
                        'second',
                    );
                }

                return $entry->add(
                    new SiteSetting([
                        'name' => $name,
                        'fahrenheit_first' => $fahrenheitFirst,
                        'decimal_comma' => $decimalComma,
                        'leads_need_code' => $leadsNeedCode,
                        'four_eyes' => $fourEyes,
                        'at' => $entry->at,
                        'person_id' => $by->id,
                    ]),
                );
            },
            Right::Lead,
        );
        Settings::forget();
        dispatch(new Restyle());

        return $settings;
    }
}
