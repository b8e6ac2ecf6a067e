<?php

declare(strict_types=1);

use App\Models\Role;
use App\Models\SchoolLocale;

beforeEach(function () {
    ['user' => $this->user] = $this->school();
});

test('the owner says what the school is called and how it writes; every page is told', function () {
    $this->actingAs($this->user)->getJson('/api/session')->assertJsonPath('school.locale', 'en-GB');
    $this->putJson('/api/school', ['name' => 'Reeds', 'locale' => 'en-US'])->assertNoContent();
    $this->getJson('/api/session')->assertJsonPath('school.locale', 'en-US')->assertJsonPath('school.name', 'Reeds');
    $this->putJson('/api/school', ['name' => '', 'locale' => 'en-US'])->assertUnprocessable();
    $this->putJson('/api/school', ['name' => 'Reeds', 'locale' => 'tlh'])->assertUnprocessable();
});

test('whoever only teaches does not say it', function () {
    $bea = $this->colleague($this->user->school, ['name' => 'Bea', 'email' => 'bea@example.test', 'password' => 'a long password', 'role' => Role::Instructor]);
    $this->actingAs($bea)->putJson('/api/school', ['name' => 'Mine', 'locale' => 'en-GB'])->assertForbidden();
});

test('a day is written out as the school writes it', function (SchoolLocale $locale, string $said) {
    expect($locale->day(new DateTimeImmutable('2026-12-03T23:30:00', new DateTimeZone('Europe/Berlin'))))->toBe($said);
})->with([[SchoolLocale::Britain, '3 December 2026'], [SchoolLocale::UnitedStates, 'December 3, 2026'], [SchoolLocale::Singapore, '3 December 2026']]); // CLDR, through ICU
