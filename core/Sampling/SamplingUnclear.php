<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

use Rheacid\Core\Failure;

/** A line of a sampling plan must say either at which stage or every how many hours, and one or more. */
final class SamplingUnclear extends \DomainException implements Failure {}
