<?php

declare(strict_types=1);

/* What measures over HTTP: seconds, their distribution, and someone signed in. */

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;

const PASSWORD = 'a bench of its own';

/** Seconds that some work takes. */
function took(callable $work): float
{
    $start = hrtime(true);
    $work();

    return (hrtime(true) - $start) / 1e9;
}

/** @param  list<float>  $values */
function at(float $share, array $values): float
{
    sort($values);

    return $values[(int) min(count($values) - 1, floor($share * count($values)))];
}

/** Someone signed in, as a browser is. */
final class Browser
{
    private Client $client;

    public function __construct(string $address)
    {
        $jar = new CookieJar;
        $this->client = new Client(['base_uri' => $address, 'cookies' => $jar, 'http_errors' => false, 'headers' => ['Accept' => 'application/json', 'Referer' => $address, 'Origin' => $address]]);
        $this->ask('POST', '/api/session', ['email' => 'bench@bench.example', 'password' => PASSWORD]);
    }

    public function ask(string $method, string $url, ?array $body = null): string
    {
        $token = $this->client->getConfig('cookies')->getCookieByName('XSRF-TOKEN')?->getValue() ?? '';
        $answer = $this->client->request($method, $url, ['headers' => ['X-XSRF-TOKEN' => urldecode($token)], ...($body === null ? [] : ['json' => $body])]);
        $text = (string) $answer->getBody();
        if ($answer->getStatusCode() >= 300) {
            throw new RuntimeException("$method $url answered {$answer->getStatusCode()}: ".substr($text, 0, 300));
        }

        return $text;
    }
}
