<?php

declare(strict_types=1);

namespace Tests\Feature;

use Rheacid\Core\Care\PairState;
use Rheacid\Http\Forms\Ready\PolicyRequest;
use Rheacid\Queries\Ready\Readiness;

/** What is asked of an instrument, by whom it is changed, and where it acts. */
final class PolicyTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    public function test_only_a_lead_changes_a_policy_and_its_instruments_follow_the_new_version(): void
    {
        $policy = $this->pair()->policy;
        $form = [
            'slope_low_percent' => '92',
            'slope_high_percent' => '102',
            'zero_point_ph' => '0.5',
            'offset_mv' => '',
            'response_time_s' => '60',
            'residual_ph' => '0.05',
            'read_back_limit_ph' => '0.05',
            'pooled_sd_ph' => '0.018',
            'interval_kind' => 'readings',
            'interval_count' => '2',
            'buffer_family' => 'standard',
            'buffer_order' => 'lowest-first',
            'fit' => 'least-squares',
            'rinse' => 'tap',
        ];
        $this->post("/policies/$policy->id", [...$form, 'form' => self::formId()])->assertForbidden();

        $this->actingAs($this->people['lead'])
            ->post("/policies/$policy->id", [...$form, 'reason' => 'stricter', 'form' => self::formId()])
            ->assertRedirect();

        self::assertSame([2, 92.0], [$this->pair()->policy->version, $this->pair()->policy->slope_low_percent]);
        $this->get('/calibrate/' . $this->pair()->id)->assertSeeInOrder(
            ['value="R-07" selected', 'value="R-08" selected', 'lowest first, one line through all'],
            false,
        );
        $this->post("/policies/$policy->id", [...$form, 'form' => self::formId()])->assertSessionHasErrors([
            'policy' => 'Somebody changed this policy meanwhile. Look at the newest version first; nothing was changed.',
        ]);

        $this->calibrate();
        $this->measure([4.45, 4.46]);
        self::assertSame(PairState::Ready, Readiness::of($this->pair())->state);
        $this->measure([4.45, 4.46]);
        self::assertSame(PairState::Spent, Readiness::of($this->pair())->state, 'two readings were what it was for');
    }

    public function test_an_own_copy_of_a_policy_stands_beside_it_and_a_pair_is_put_under_it(): void
    {
        $policy = $this->pair()->policy;
        $form = [
            ...array_map(static fn(mixed $value): string => (string) $value, $policy->only(array_keys(PolicyRequest::NUMBERS))),
            'interval_kind' => 'each-use',
            'interval_count' => '1',
            'buffer_family' => 'any',
            'buffer_order' => 'free',
            'fit' => 'segments',
            'rinse' => 'distilled',
        ];
        $this->actingAs($this->people['lead'])
            ->post("/policies/$policy->id", [...$form, 'copy_as' => 'Sausage room', 'form' => self::formId()])
            ->assertSessionHasNoErrors();
        self::assertSame([1, 'process'], [$policy->version, $this->pair()->policy->code], 'the one it was copied from is as it was');
        $this->post("/policies/$policy->id", [...$form, 'copy_as' => 'Sausage room', 'form' => self::formId()])->assertSessionHasErrors([
            'copy_as' => 'A policy of that name is there already. Choose another name.',
        ]);

        $this->post("/pairs/{$this->pair()->id}/policy", [
            'policy' => 'sausage-room',
            'reason' => 'critical limits',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        self::assertSame('Sausage room', $this->pair()->policy->name);
        $this->calibrate();
        $this->wait(60);
        $this->tapsCare('stored');
        self::assertSame(PairState::Stored, Readiness::of($this->pair())->state, 'before each use: the session ends with storage');
    }
}
