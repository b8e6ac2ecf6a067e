<?php

declare(strict_types=1);

namespace App\Console;

use App\Words;
use Gorvan\Core\Lesson\CutImpossible;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Message;
use Illuminate\Console\Command;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * A command that reads one file and prints data on standard output, or one line on standard error and exit 2.
 * It needs no database.
 */
abstract class FileCommand extends Command
{
    private const MAX_BYTES = 16_777_216;

    private const WRONG = 2;

    final public function handle(): int
    {
        $file = $this->argument('file');
        if (! is_string($file) || $file === '') {
            return $this->wrong("{$this->getName()}: ".Words::of(Message::of('cli.name_file')));
        }
        $text = $this->readable($file);
        if (! is_string($text)) {
            return $this->refused($file, $text);
        }
        try {
            return $this->answer($text, $file);
        } catch (BadInput $e) {
            return $this->refused($e->place === '' ? $file : "$file:$e->place", $e->reason);
        } catch (CutImpossible $e) {
            return $this->refused($file, $e->reason);
        }
    }

    /** What a file holds, or why it cannot be read. */
    protected function readable(string $file): string|Message
    {
        return match (true) {
            ! is_file($file) || ! is_readable($file) => Message::of('cli.no_file'),
            filesize($file) > self::MAX_BYTES => Message::of('cli.large'),
            default => (string) file_get_contents($file),
        };
    }

    /** One line: a file, its place, and what is wrong there. */
    protected function refused(string $place, Message $reason): int
    {
        return $this->wrong("$place: ".Words::of($reason));
    }

    /** What cannot be understood of the call itself is one line and exit 2 too. */
    final public function run(InputInterface $input, OutputInterface $output): int
    {
        try {
            return parent::run($input, $output);
        } catch (ExceptionInterface $e) {
            return self::refuse($output, "{$this->getName()}: {$e->getMessage()}");
        }
    }

    /** The value of an option, or null where it was not given. */
    protected function text(string $option): ?string
    {
        $value = $this->option($option);

        return is_string($value) ? $value : null;
    }

    /** Prints the answer, all at once, so that nothing stands on standard output when something is wrong. */
    abstract protected function answer(string $text, string $file): int;

    /** @param  array<string, mixed>  $data */
    protected function json(array $data): int
    {
        $this->getOutput()->writeln(
            json_encode($data, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
            OutputInterface::OUTPUT_RAW,
        );

        return self::SUCCESS;
    }

    /** @param  list<Message>  $warnings */
    protected function warnings(array $warnings): void
    {
        foreach ($warnings as $warning) {
            $this->getOutput()->writeln('! '.Words::of($warning), OutputInterface::OUTPUT_RAW);
        }
    }

    /**
     * Warnings on standard error, for data that has no place for them.
     *
     * @param  list<Message>  $warnings
     */
    protected function warningsBeside(array $warnings): void
    {
        foreach ($warnings as $warning) {
            self::errors($this->getOutput()->getOutput())->writeln('! '.Words::of($warning), OutputInterface::OUTPUT_RAW);
        }
    }

    protected function wrong(string $line): int
    {
        return self::refuse($this->getOutput()->getOutput(), $line);
    }

    private static function refuse(OutputInterface $output, string $line): int
    {
        self::errors($output)->writeln((string) preg_replace('/\s+/', ' ', $line), OutputInterface::OUTPUT_RAW);

        return self::WRONG;
    }

    private static function errors(OutputInterface $output): OutputInterface
    {
        return $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
    }
}
