<?php

declare(strict_types=1);

namespace Tests\Feature;

final class CertificateTest extends BenchTestCase
{
    public function test_a_calibration_is_certified_with_its_bottles_its_verdict_and_its_events(): void
    {
        $this->calibrate(97.0);
        $this->wait(3600);
        $calibration = $this->calibrate(88.0);

        $this->actingAs($this->people['auditor'])
            ->get("/calibrations/$calibration->id/certificate")
            ->assertOk()
            ->assertSeeInOrder([
                'E-07',
                'Readings',
                'typed from the meter',
                'Bench meter A',
                'Oda Venn, policy Process version 1',
                'Fitted',
                'bottle Q-29: pH 7.016 at 21.0 °C',
                'reason: typed by a test',
                'as found',
                'Fitted',
                'bottle Q-31',
                'Read-back',
                'bottle Q-29',
                '88.0 % of the ideal; the policy requires 90 to 102 %',
                'Fail.',
                'Slope 88.0 %',
                'pH 4.00 to 7.02',
                'Ledger head',
            ]);
        self::assertStringStartsWith(
            '%PDF-',
            (string) $this->get("/calibrations/$calibration->id/certificate.pdf")
                ->assertOk()
                ->assertHeader('Content-Disposition', "inline; filename=\"certificate-calibration-E-07-$calibration->id.pdf\"")
                ->getContent(),
        );
    }
}
