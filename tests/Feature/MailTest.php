<?php

declare(strict_types=1);

use App\Models\KeptMail;
use App\Models\Role;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:30:00+01:00');
    $this->made = $this->school();
    $this->school = $this->made['user']->school;
    $this->actingAs($this->made['user']);
    $this->ada = $this->inside($this->school, fn () => Student::orderBy('name')->first()->id);
    $this->details = fn (?string $email, ?string $size = null) => $this->putJson("/api/students/$this->ada/details", ['email' => $email, 'size' => $size]);
    $this->link = fn (bool $byMail = true) => $this->postJson("/api/students/$this->ada/link", ['byMail' => $byMail])->assertCreated();
});

test('a student has an address and a size; what is no address is refused and nothing is changed', function () {
    ($this->details)('ada@example.test', 'small')->assertNoContent();
    expect($this->getJson("/api/students/$this->ada")->json())->toMatchArray(['email' => 'ada@example.test', 'size' => 'small']);
    foreach (['ada', 'ada@', "ada@example.test\nBcc: all@example.test", str_repeat('a', 250).'@example.test'] as $wrong) {
        expect(($this->details)($wrong, 'large')->assertUnprocessable()->json('place'))->toBe('email');
    }
    expect(($this->details)(null, 'huge')->assertUnprocessable()->json('place'))->toBe('size')
        ->and($this->getJson("/api/students/$this->ada")->json())->toMatchArray(['email' => 'ada@example.test', 'size' => 'small']);
    ($this->details)(null)->assertNoContent();
    expect($this->getJson("/api/students/$this->ada")->json())->toMatchArray(['email' => null, 'size' => null]);
});

test('an assistant sees no address, no mailbox and no letters', function () {
    ($this->details)('ada@example.test', 'small')->assertNoContent();
    $assistant = $this->colleague($this->school, ['name' => 'A', 'email' => 'a@example.test', 'password' => 'a long password', 'role' => Role::Assistant]);
    $this->flushSession();
    app('auth')->forgetGuards();
    $this->actingAs($assistant);
    $answer = $this->getJson("/api/students/$this->ada")->assertOk();
    expect($answer->json('email'))->toBeNull()->and(str_contains((string) $answer->getContent(), 'ada@example.test'))->toBeFalse();
    $this->getJson('/api/mails')->assertForbidden();
    $this->getJson("/api/terms/{$this->made['term']->id}/end")->assertForbidden();
    ($this->details)('other@example.test')->assertForbidden();
});

test('a link goes by mail to whoever has an address, is not told beside it, and opens their page', function () {
    ($this->details)('ada@example.test')->assertNoContent();
    $made = ($this->link)()->json();
    expect($made)->toMatchArray(['address' => null, 'mailedTo' => 'ada@example.test', 'isUnsent' => false]);
    $box = $this->getJson('/api/mails')->assertOk()->json();
    expect($box['isStandIn'])->toBeTrue()->and($box['mails'])->toHaveCount(1)
        ->and($box['mails'][0])->toMatchArray(['address' => 'ada@example.test', 'student' => 'Ada', 'subject' => 'Your practice at home, Reed School', 'sentAt' => '2026-01-20T20:30:00+01:00'])
        ->and($box['mails'][0]['body'])->toContain('Dear Ada')->toContain('20 May 2026');
    preg_match('/#(\S+)/', $box['mails'][0]['body'], $token);
    $this->postJson('/mine/api/open', ['token' => $token[1]])->assertNoContent();
    // Made without mail, it is told and nothing is sent.
    expect(($this->link)(false)->json('address'))->toContain('#')->and($this->getJson('/api/mails')->json('mails'))->toHaveCount(1);
});

test('for a whole group those without an address are told to be copied, each once', function () {
    ($this->details)('ada@example.test')->assertNoContent();
    $students = $this->inside($this->school, fn () => Student::orderBy('name')->pluck('id')->all());
    $made = $this->postJson("/api/groups/{$this->made['group']->id}/links", ['students' => $students, 'byMail' => true])->assertCreated()->json();
    expect(array_column($made, 'mailedTo'))->toBe(['ada@example.test', null, null])->and(array_map(is_string(...), array_column($made, 'address')))->toBe([false, true, true])
        ->and(array_column($made, 'isUnsent'))->toBe([false, false, false]);
});

test('mail that does not go is said, and the link is told instead', function () {
    ($this->details)('ada@example.test')->assertNoContent();
    Mail::extend('broken', static fn () => new class extends AbstractTransport
    {
        protected function doSend(SentMessage $message): void
        {
            throw new TransportException('no route to the server');
        }

        public function __toString(): string
        {
            return 'broken';
        }
    });
    config(['mail.mailers.broken' => ['transport' => 'broken'], 'mail.default' => 'broken']);
    expect(($this->link)()->json())->toMatchArray(['mailedTo' => null, 'isUnsent' => true])->and(($this->link)()->json('address'))->toContain('#')
        ->and($this->getJson('/api/mails')->json('isStandIn'))->toBeFalse();
    $letter = (string) Str::uuid();
    $this->putJson("/api/terms/{$this->made['term']->id}/letters", ['id' => $letter, 'student' => $this->ada, 'text' => 'Dear Ada', 'version' => 0])->assertOk();
    expect($this->postJson("/api/terms/{$this->made['term']->id}/letters/sending", ['letters' => [$letter]])->assertOk()->json('0.sentAt'))->toBeNull();
});

test('what a mail says is not readable in the database, and is forgotten after ninety days', function () {
    ($this->details)('ada@example.test')->assertNoContent();
    ($this->link)();
    $row = $this->inside($this->school, fn () => DB::table('mails')->first());
    expect(str_contains($row->body, 'mine/home'))->toBeFalse()->and(str_contains($row->subject, 'practice'))->toBeFalse();
    // A backup under another key has rows that nobody can open: they are listed, and the page stands.
    $this->inside($this->school, fn () => DB::table('mails')->update(['subject' => 'x', 'body' => 'y']));
    expect($this->getJson('/api/mails')->assertOk()->json('mails.0'))->toMatchArray(['subject' => null, 'body' => null, 'student' => 'Ada']);
    $this->getJson("/api/students/$this->ada/record")->assertOk();
    $this->clockAt('2026-04-21T20:30:00+02:00');
    ($this->link)();
    expect($this->inside($this->school, fn () => KeptMail::count()))->toBe(1);
});

test('names and words of people make no header of a mail, and mail goes to one address alone', function () {
    $this->putJson("/api/students/$this->ada/details", ['email' => "ada@example.test\r\nBcc: eve@example.test", 'size' => null])->assertUnprocessable();
    $this->putJson("/api/students/$this->ada/details", ['email' => 'ada@example.test, eve@example.test', 'size' => null])->assertUnprocessable();
    ($this->details)('ada@example.test')->assertNoContent();
    config(['mail.mailers.heard' => ['transport' => 'array'], 'mail.default' => 'heard']);
    $evil = "Ada\r\nBcc: eve@example.test\r\n\r\nNothing";
    // As it would stand there if some door let it in: the mail does not rest on the doors.
    $this->inside($this->school, fn () => Student::whereKey($this->ada)->update(['name' => $evil]));
    $this->inside($this->school, fn () => $this->school->update(['name' => $evil]));
    ($this->link)()->assertCreated();
    $letter = (string) Str::uuid();
    $this->putJson("/api/terms/{$this->made['term']->id}/letters", ['id' => $letter, 'student' => $this->ada, 'text' => $evil, 'version' => 0])->assertOk();
    $this->postJson("/api/terms/{$this->made['term']->id}/letters/sending", ['letters' => [$letter]])->assertOk();
    $sent = Mail::mailer('heard')->getSymfonyTransport()->messages();
    expect($sent)->toHaveCount(2);
    foreach ($sent as $message) {
        [$head] = explode("\r\n\r\n", $message->toString(), 2);
        expect(preg_match_all('/^(?:bcc|cc|to):.*$/mi', $head, $found))->toBe(1)->and($found[0][0])->toContain('ada@example.test')
            ->and(array_map(static fn ($one) => $one->getAddress(), $message->getEnvelope()->getRecipients()))->toBe(['ada@example.test']);
    }
});
