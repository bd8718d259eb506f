<?php

declare(strict_types=1);

namespace Impa\Figure\Member;

use Impa\Figure\Term\DetailRole;

/** What a detail is to the felter. Immutable. */
final readonly class Meaning
{
    /**
     * @param  array{string, string}  $piece  key and kind of the piece of a face that put it on; empty where none did
     * @param  list<string>  $meant  codes of advice that she set aside
     */
    public function __construct(
        public DetailRole $role = DetailRole::Other,
        public array $piece = ['', ''],
        public array $meant = [],
    ) {
    }
}
