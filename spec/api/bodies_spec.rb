# frozen_string_literal: true

require_relative "../support/api"

# Bodies no interface of ours sends, at the doors that the seeded fuzz leaves alone since they end its session.
module Bodies
  DOORS = %w[/api/login /api/logout /api/change-password /api/close-account].freeze
  BODIES = {
    "nothing" => "",
    "a list" => "[]",
    "a number" => "5",
    "a word" => "\"words\"",
    "null" => "null",
    "half an object" => "{\"login\":",
    "no text" => "{\"login\":\"\xFF\xFE\"}".b,
    "a null byte" => "{\"login\":\"a\\u0000b\",\"password\":\"x\"}",
    "half a character" => "{\"login\":\"\\ud800\",\"password\":\"x\"}",
    "numbers for words" => "{\"login\":5,\"password\":7}",
    "lists for words" => "{\"login\":[1],\"password\":[\"x\"]}",
    "objects for words" => "{\"login\":{\"a\":1},\"password\":{\"b\":{}}}",
    "far too long words" => "{\"login\":\"#{"a" * 9_000}@example.test\",\"password\":\"#{"b" * 9_000}\"}",
    "a deep nest" => "#{"[" * 500}#{"]" * 500}",
    "twice the same" => "{\"login\":\"a@example.test\",\"login\":[],\"password\":\"x\"}"
  }.freeze
end

RSpec.describe "Bodies at the doors", :api do
  let(:ines) { household! }

  def knock(path, body)
    post(
      path,
      body,
      { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => csrf, "HTTP_IDEMPOTENCY_KEY" => key! }
    )
  end

  Bodies::DOORS.each do |path|
    Bodies::BODIES.each do |name, body|
      it "answers #{name} at #{path} with a refusal in words, or does what needs no body" do
        sign_in(ines)
        answer = knock(path, body)
        expect(answer.status).to be_between(200, 499)
        next if answer.status < 300 && path == "/api/logout"

        expect(answer.status).to be_between(400, 499)
        expect(JSON.parse(answer.body)).to include("code", "title", "status" => answer.status)
      end
    end
  end

  # The database cannot even compare with some of them.
  ["-4712-01-01", "0000-01-01", "1899-12-31", "2200-01-01", "+12026-01-01", "2026-02-30", "2026-W10-1"].each do |day|
    it "takes #{day} for no day anywhere in a body" do
      sign_in(ines)
      [
        ["/api/plan/proposals", { from: "2026-11-24", to: day }],
        ["/api/trips", { name: "Odd", leaves_on: day, back_on: "2026-12-01" }],
        ["/api/care", { title: "Turn the jars", first_on: day }]
      ].each do |path, body|
        answer = knock(path, JSON.generate(body))
        expect([path, answer.status]).to eq([path, 422])
        expect(JSON.parse(answer.body)["errors"].map { |one| one["detail"] }).to include(/must be a day like/)
      end
    end
  end
end
