<?php

declare(strict_types=1);

namespace App\Shared\Sent;

/**
 * What a request carries, in its body or its query. The constructor is all there is to say of it: its types, its docblock
 * and {@see Rules} are what is checked ({@see SentRules}), what is handed on ({@see SentReader}) and what the API's
 * description shows. What has a default may be left out.
 */
interface Sent
{
}
