<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Routing\Route;

/** The names a route reads from what is sent, taken from the text of its controller and request: no list to be kept by hand. */
final class Fields
{
    private const READS = '/->(?:input|string|integer|boolean|float|date|filled|has|query|array|collect|file|hasFile|get)\(\s*\'([a-z_]+)/';

    /** Those every form may have. */
    private const ALWAYS = ['back', '_once', '_age'];

    /** @var array<string, list<string>> */
    private array $known = [];

    /** @return list<string> */
    public function of(Route $route): array
    {
        return $this->known[$route->uri().$route->methods()[0]] ??= $this->read($route);
    }

    /** @return list<string> */
    private function read(Route $route): array
    {
        [$class, $method] = [...explode('@', $route->getActionName()), '__invoke'];
        if (! str_contains($class, '\\') || ! method_exists($class, $method)) {
            return self::ALWAYS;
        }
        $action = new \ReflectionMethod($class, $method);
        $text = self::text($action);
        foreach ((new \ReflectionClass($class))->getMethods() as $other) { // what the action leaves to others of its class
            $text .= $other->getDeclaringClass()->getName() === $class && str_contains($text, $other->getName().'(') ? self::text($other) : '';
        }
        $names = self::ALWAYS;
        foreach ($action->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof \ReflectionNamedType && is_subclass_of($type->getName(), FormRequest::class)) {
                $request = new \ReflectionClass($type->getName());
                $text .= file_get_contents((string) $request->getFileName());
                foreach ($request->getTraits() as $trait) {
                    $text .= file_get_contents((string) $trait->getFileName());
                }
                preg_match_all('/\'([a-z_]+)(?:\.[a-z_*.]+)?\' => [\[\$.]/', $text, $rules);
                $names = [...$names, ...$rules[1]];
            }
        }
        preg_match_all(self::READS, $text, $read);

        return array_values(array_unique([...$names, ...$read[1]]));
    }

    private static function text(\ReflectionMethod $method): string
    {
        return implode('', array_slice((array) file((string) $method->getFileName()), (int) $method->getStartLine() - 1, $method->getEndLine() - $method->getStartLine() + 1));
    }
}
