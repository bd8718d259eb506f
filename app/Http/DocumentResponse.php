<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;

/** An answer that carries a document or much of what is drawn: encoded once, numbers and letters as they are. */
final class DocumentResponse extends JsonResponse
{
    /** @param  array<string, mixed>  $members */
    public function __construct(array $members, int $status = 200)
    {
        parent::__construct($members, $status, [], JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
