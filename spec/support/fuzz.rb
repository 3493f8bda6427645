# frozen_string_literal: true

require "json"
require "yaml"

# Odd requests made from the contract: each body starts right and is bent in one place, or not at all.
class Fuzz
  DOCUMENT = YAML.safe_load_file(File.expand_path("../../contract/openapi.yaml", __dir__), aliases: true).freeze
  ODD = [
    nil,
    true,
    0,
    -1,
    1,
    1.5,
    2**31,
    2**63,
    10**30,
    -(10**30),
    "",
    " ",
    "0",
    "-1",
    "1e9",
    "x\n1",
    "NaN",
    "2026-02-30",
    "0000-01-01",
    "9999-12-31",
    "-4712-01-01",
    "2026-11-24",
    "\u{1F41F}",
    "%ff",
    "' OR 1=1 --",
    "<b>",
    "=1+1",
    "a" * 3000,
    [],
    {},
    [[]],
    [nil],
    { "a" => { "b" => [] } },
    "\u202E",
    "fridge",
    "use_by"
  ].freeze
  QUERIES = [
    "",
    "?q=%ff",
    "?q[]=x",
    "?limit=0",
    "?limit=1e9",
    "?cursor=AAAA",
    "?cursor=%25",
    "?on=2026-13-01",
    "?on=0000-00-00",
    "?days=-1",
    "?state=x",
    "?place_id=0",
    "?food_id=99999999999999999999",
    "?text=%00",
    "?from=2026-11-24&to=2020-01-01",
    "?stacks=1,2,x",
    "?grid=zzz",
    "?copies=99999999",
    "?lot=%F0%9F%90%9F",
    "?code=12345678",
    "?on=9999-12-31",
    "?q=#{"z" * 190}"
  ].freeze
  IDS = %w[
    0 1 2 7 -1 99 9223372036854775807 9223372036854775808 999999999999999999999 abc 1.5 %00 %ff ..%2f 1;2 null
  ].freeze
  HEADERS = [
    {},
    { "HTTP_IDEMPOTENCY_KEY" => "short" },
    { "HTTP_IDEMPOTENCY_KEY" => "x" * 500 },
    { "HTTP_COOKIE" => "_remember=a_b" },
    { "CONTENT_TYPE" => "text/plain" },
    { "HTTP_IF_NONE_MATCH" => "\"x" },
    { "HTTP_ACCEPT" => "\xFF" },
    { "HTTP_X_FORWARDED_FOR" => "1.2.3.4, x" },
    { "HTTP_X_FORWARDED_HOST" => "evil.example" }
  ].freeze

  # One request: verb, path with query, body as text (nil for a read), headers. Frozen.
  Request =
    Struct.new(:verb, :path, :body, :headers, keyword_init: true) do
      def initialize(**facts)
        super
        freeze
      end

      def to_s = "#{verb} #{path} #{body.to_s[0, 300]} #{headers}"
    end

  # @param random [Random]
  # @param ids [Hash{String=>Array<Integer>}] ids that exist, by the word before them in a path
  def initialize(random, ids = {})
    @random = random
    @ids = ids
    @routes =
      DOCUMENT["paths"].flat_map do |path, item|
        item.slice("get", "post").map { |verb, operation| [verb, path, operation] }
      end
    # These end the session, or belong to others' specs.
    @routes.reject! do |_, path, _|
      path.match?(%r{\A/api/(login|logout|close-account|change-password|first-start|demo-sign-in|join)})
    end
  end

  # @return [Request]
  def request
    verb, template, operation = pick(@routes)
    path = template.gsub(/\{(\w+)\}/) { id(template) }
    return Request.new(verb: verb, path: path + pick(QUERIES), headers: pick(HEADERS)) if verb == "get"

    Request.new(verb: verb, path: path, body: body(operation), headers: @random.rand(6).zero? ? pick(HEADERS) : {})
  end

  private

  def pick(list) = list[@random.rand(list.size)]

  def id(template)
    known = @ids[template[%r{/api/([\w-]+)}, 1]]
    known&.any? && @random.rand(4).positive? ? pick(known) : pick(IDS)
  end

  def body(operation)
    schema = operation.dig("requestBody", "content", "application/json", "schema")
    value = schema ? value(schema) : {}
    text = JSON.generate(@random.rand(5).zero? ? value : bend(value))
    @random.rand(40).zero? ? text[0, @random.rand(text.size)] : text
  rescue JSON::GeneratorError
    "{}"
  end

  # Something that fits the schema, as far as the fuzz understands it.
  def value(schema)
    schema = resolve(schema)
    return pick(schema["enum"]) if schema["enum"]
    return value(pick(schema["oneOf"] || schema["anyOf"])) if schema["oneOf"] || schema["anyOf"]

    case schema["type"]
    when "object"
      object(schema)
    when "array"
      Array.new(@random.rand(3)) { value(schema["items"] || {}) }
    when "integer"
      @random.rand(5).zero? ? schema["maximum"] || 100 : known_id
    when "boolean"
      @random.rand(2).zero?
    when "string"
      string(schema)
    else
      pick(ODD)
    end
  end

  def known_id = pick(@ids.values.flatten.first(30) + [1, 2, 3])

  def object(schema)
    fields = schema["properties"].to_h
    required = schema["required"].to_a
    fields.select { |name, _| required.include?(name) || @random.rand(2).zero? }.transform_values { |one| value(one) }
  end

  def string(schema)
    return pick(%w[2026-11-24 2026-12-31 2020-02-29 1999-01-01]) if schema["format"] == "date"
    return pick(%w[1 0.5 400 0.000001 999999999999 -3 0]) if schema["pattern"].to_s.include?("[0-9]")

    pick(
      [
        "a",
        "Tin of beans",
        "\u{1F41F}",
        "x" * (schema["maxLength"] || 50),
        "400 g chickpeas bb 5/2028 fridge",
        "1",
        "0"
      ]
    )
  end

  def resolve(schema)
    schema = DOCUMENT.dig(*schema["$ref"].delete_prefix("#/").split("/")) while schema["$ref"]
    schema
  end

  # Changes one thing, at any depth.
  def bend(value)
    case value
    when Hash
      bend_hash(value)
    when Array
      value.empty? ? [pick(ODD)] : value.dup.tap { |copy| copy[@random.rand(copy.size)] = bend(copy.first) }
    else
      pick(ODD)
    end
  end

  def bend_hash(hash)
    return { pick(%w[x lot_id id place_id amount]) => pick(ODD) } if hash.empty?

    key = pick(hash.keys)
    case @random.rand(4)
    when 0
      hash.except(key)
    when 1
      hash.merge("surplus" => pick(ODD))
    else
      hash.merge(key => bend(hash[key]))
    end
  end
end
