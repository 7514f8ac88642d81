<?php

declare(strict_types=1);

namespace Tests\Feature;

final class SignInTest extends BenchTestCase
{
    public function test_the_right_passphrase_opens_a_renewed_session(): void
    {
        $this->get('/sign-in')->assertOk();
        $before = session()->getId();

        $this->post('/sign-in', ['username' => 'Oda', 'passphrase' => self::PASSPHRASE])->assertRedirect('/');

        self::assertAuthenticated();
        self::assertNotSame($before, session()->getId());
    }

    public function test_a_wrong_name_and_a_wrong_passphrase_get_the_same_answer(): void
    {
        $told = [];
        foreach ([['oda', 'wrong'], ['nobody', self::PASSPHRASE]] as [$username, $passphrase]) {
            $this->from('/sign-in')
                ->post('/sign-in', ['username' => $username, 'passphrase' => $passphrase])
                ->assertRedirect('/sign-in');
            preg_match('/class="problem">([^<]+)/', (string) $this->get('/sign-in')->assertDontSee($passphrase)->getContent(), $message);
            $told[] = $message[1] ?? '';
        }

        self::assertSame(['Sign-in name or passphrase is not correct.', 'Sign-in name or passphrase is not correct.'], $told);
        self::assertGuest();
    }

    public function test_the_sixth_attempt_waits(): void
    {
        for ($i = 0; $i < 5; $i++) {
            $this->post('/sign-in', ['username' => 'oda', 'passphrase' => 'wrong'])->assertRedirect();
        }

        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])->assertSessionHasErrors([
            'username' => 'Too many attempts: wait 30 s, then try again.',
        ]);
        self::assertGuest();
    }

    public function test_signing_out_ends_the_session(): void
    {
        $this->actingAs($this->people['checker'])->post('/sign-out')->assertRedirect('/sign-in');

        self::assertGuest();
    }
}
