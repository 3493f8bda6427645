# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "The contract", :api do
  document = ApiSupport::Contract::DOCUMENT

  it "knows every route, and every route of it exists" do
    routed =
      NutShelf::Api::App::RESOURCES.flat_map do |mount, klass|
        klass.routes.slice("GET", "POST").flat_map do |verb, routes|
          routes.map do |pattern, *|
            "#{verb.downcase} #{"#{mount}#{pattern}".sub(%r{/\z}, "").sub(/:(id|token)/, '{\\1}')}"
          end
        end
      end
    door = %w[/api/login /api/logout /api/change-password /api/close-account].map { |path| "post #{path}" }
    written = document["paths"].flat_map { |path, item| item.keys.map { |verb| "#{verb} #{path}" } }
    expect(routed + door).to match_array(written)
  end

  it "allows no field it does not name, and needs every field it answers with" do
    loose =
      document["components"]["schemas"]
        .select do |_, schema|
          schema["type"] == "object" && schema["properties"] && schema["additionalProperties"] != false
        end
        .keys
    expect(loose).to be_empty
    answers = %w[
      Stack Food Place Dish Meal MealDetail Pick PickLine Draft Today List ListItem
      LaterItem Fetch Shop Bought ActRow HistoryRow
      StackDetail Session ImportPreview StackFacts Count ExpectedStack UnexpectedLine Difference Counts PlaceDetail
      BringItem Container CareRow Scanned ScanDraft KeepingPage KeepingCell PeoplePage Person Foresight ForeseenStack
      Weight
    ]
    half =
      answers.select do |name|
        document["components"]["schemas"][name].then do |schema|
          schema["properties"].keys.sort != schema["required"].sort
        end
      end
    expect(half).to be_empty
  end

  it "fails on a missing and on an extra field" do
    who = sign_in(household!)
    put_away(who, "honey", "cupboard")
    stack = ask("/api/stacks")["stacks"].first
    expect(ApiSupport::Contract.faults("Stack", stack)).to be_empty
    expect(ApiSupport::Contract.faults("Stack", stack.except("amount"))).not_to be_empty
    expect(ApiSupport::Contract.faults("Stack", stack.merge("more" => 1))).not_to be_empty
  end

  it "gives every code a status" do
    codes =
      Dir[File.expand_path("../../{api,desk}/**/*.rb", __dir__)]
        .flat_map { |path| File.read(path).scan(/(?:code: |refuse\(|document\()"([a-z_]+)"/) }
        .flatten
        .uniq
    expect(codes - ApiSupport::Contract::CODES.keys).to be_empty
  end
end

RSpec.describe NutShelf::Api::Contract do
  # [schema, body] => [pointer, code, parameters] of each fault
  {
    ["SetApart", {}] => [["/for", "missing", {}]],
    ["SetApart", { "for" => "" }] => [["/for", "short", { "least" => 1 }]],
    ["SetApart", { "for" => "x" * 121 }] => [["/for", "long", { "most" => 120 }]],
    ["SetApart", { "for" => "a", "amount" => "1,5" }] => [["/amount", "number", {}]],
    ["SetApart", { "for" => "a", "until" => "soon" }] => [["/until", "day", {}]],
    ["SetApart", { "for" => "a", "colour" => "red" }] => [["/colour", "unknown", {}]],
    ["Apart", { "reason" => "smell" }] => [["/reason", "choice", { "one_of" => "pest, recall" }]],
    ["Quarantine", { "lot_ids" => 3, "reason" => "pest" }] => [["/lot_ids", "kind", { "kind" => "array" }]]
  }.each do |(schema, body), faults|
    it "tells #{faults.first[1]} of #{body.keys.last || "nothing"} by code, and in words" do
      found = described_class.faults(schema, body)
      expect(found.map { |one| [one.pointer, one.code, one.params] }).to eq(faults)
      expect(found.map(&:detail)).to all(match(/\A[A-Z].*\.\z/))
    end
  end
end
