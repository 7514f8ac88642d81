<?php

declare(strict_types=1);

/*
 * Signs what a backup says of itself (Ed25519).
 *
 *     php ops/sign.php new                        a new secret key, on its output
 *     php ops/sign.php public SECRET-FILE         its public half, 64 hexadecimal digits
 *     php ops/sign.php sign SECRET-FILE FILE      the signature of a file
 *     php ops/sign.php check FILE SIGNATURE-FILE KEY…   ends with 0 and prints the key, where one of these has signed it
 */

$read = static fn(string $file): string => is_string($text = @file_get_contents($file)) ? $text : exit(2);
// A key or a signature as bytes; anything else is none.
$bytes = static fn(string $text, int $length): string => preg_match(
    '/^[0-9a-f]{' . 2 * $length . '}$/',
    $text = strtolower((string) preg_replace('/\s+/', '', $text)),
) === 1
    ? (string) hex2bin($text)
    : '';
[, $do, $file] = [...$argv, '', '', ''];
switch ($do) {
    case 'new':
        echo bin2hex(sodium_crypto_sign_secretkey(sodium_crypto_sign_keypair())), "\n";
        exit(0);
    case 'public':
        echo bin2hex(sodium_crypto_sign_publickey_from_secretkey($bytes($read($file), SODIUM_CRYPTO_SIGN_SECRETKEYBYTES))), "\n";
        exit(0);
    case 'sign':
        echo bin2hex(sodium_crypto_sign_detached($read($argv[3]), $bytes($read($file), SODIUM_CRYPTO_SIGN_SECRETKEYBYTES))), "\n";
        exit(0);
    case 'check':
        $signature = $bytes($read($argv[3]), SODIUM_CRYPTO_SIGN_BYTES);
        foreach (array_slice($argv, 4) as $key) {
            $public = $bytes($key, SODIUM_CRYPTO_SIGN_PUBLICKEYBYTES);
            if ($signature !== '' && $public !== '' && sodium_crypto_sign_verify_detached($signature, $read($file), $public)) {
                echo bin2hex($public), "\n";
                exit(0);
            }
        }
        exit(1);
}
fwrite(STDERR, "sign.php: new, public, sign or check.\n");
exit(2);
