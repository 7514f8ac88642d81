<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract;

/** The words by which a program tells refusals apart. */
enum ErrorCode: string
{
    case UnknownJob = 'unknown_job';
    case MalformedJson = 'malformed_json';
    case UnknownField = 'unknown_field';
    case MissingField = 'missing_field';
    case WrongType = 'wrong_type';
    case OutOfRange = 'out_of_range';
    case Inconsistent = 'inconsistent';
}
