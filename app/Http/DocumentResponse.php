<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;
use Impa\Figure\Editing\Edited;

/** An answer that carries a document or much of what is drawn: encoded once, numbers and letters as they are. */
final class DocumentResponse extends JsonResponse
{
    /** @param  array<string, mixed>  $members */
    public function __construct(array $members, int $status = 200)
    {
        parent::__construct($members, $status, [], JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /** A figure that was changed, and what is to be looked at next. */
    public static function edited(Edited $edited): self
    {
        return new self(['document' => $edited->document, 'kind' => $edited->kind, 'key' => $edited->key]);
    }
}
