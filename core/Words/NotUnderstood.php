<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Failure;

/** What was typed cannot be read. The message says what is accepted. */
final class NotUnderstood extends \DomainException implements Failure {}
