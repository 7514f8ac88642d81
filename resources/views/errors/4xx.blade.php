@include('errors.plain', match ($exception->getStatusCode()) {
    401 => ['title' => 'Not signed in', 'message' => 'Sign in first.'],
    403 => ['title' => 'Not yours to change', 'message' => $exception->getMessage() ?: 'Your role does not allow this.'],
    404 => ['title' => 'Not found', 'message' => 'There is nothing at this address. It may have been mistyped.'],
    419 => ['title' => 'Signed out meanwhile', 'message' => 'The page was open for too long. Sign in again and send it once more; nothing was recorded.'],
    429 => ['title' => 'Too many attempts', 'message' => 'Wait a minute, then try again.'],
    default => ['title' => 'Not possible', 'message' => 'The request was not understood; nothing was recorded.'],
})
