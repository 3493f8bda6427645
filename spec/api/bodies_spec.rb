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
end
