# frozen_string_literal: true

require "rack/test"
require_relative "house"
require_relative "../../boot/app"

# Calls the app as a browser would, and holds every answer against the contract.
module ApiSupport
  include Rack::Test::Methods

  Contract = NutShelf::Api::Contract
  SEEN = Hash.new(0)

  # Finds the contract's word on an answer and checks it strictly.
  module Checker
    module_function

    def operation(verb, path)
      Contract::DOCUMENT["paths"].each do |template, item|
        pattern = /\A#{Regexp.escape(template).gsub(/\\\{\w+\\\}/, "[^/]+")}\z/
        if item[verb] && path.match?(pattern) && (template.include?("{") || template == path)
          return template, item[verb]
        end
      end
      nil
    end

    def faults(verb, path, response)
      template, operation = operation(verb, path)
      return [] if operation.nil? && response.status >= 400
      return ["#{verb} #{path} is not in the contract"] unless operation

      SEEN["#{verb} #{template}"] += 1 if response.status < 300
      against(operation, response)
    end

    def against(operation, response)
      answer = operation["responses"][response.status.to_s] || operation["responses"]["default"]
      answer = resolve(answer)
      return [] unless answer["content"]

      type = response.headers["content-type"].to_s.split(";").first
      media = answer["content"][type] || (return ["#{response.status} with #{type}"])
      return [] unless type.include?("json")

      schema(media["schema"])
        .validate(JSON.parse(response.body))
        .map { |error| "#{error["data_pointer"]}: #{error["error"]}" }
    end

    def resolve(node) = node["$ref"] ? Contract::DOCUMENT.dig(*node["$ref"].delete_prefix("#/").split("/")) : node

    def schema(node)
      return Contract.schema(node["$ref"].split("/").last) if node["$ref"]

      # An inline schema leans on the components, so it is read with them at hand.
      JSONSchemer.openapi(
        {
          **Contract::DOCUMENT,
          "components" => {
            "schemas" => {
              **Contract::DOCUMENT["components"]["schemas"],
              "Inline" => node
            }
          }
        }
      ).schema("Inline")
    end
  end

  class << self
    def app = @app ||= built

    def built(services: HouseSupport.services, **options)
      NutShelf::Api::App.build(
        services: services,
        secret: "s" * 96,
        build: "spec",
        throttle: false,
        hosts: ["example.org"],
        address: "http://house.example",
        **options
      )
    end
  end

  def app = ApiSupport.app

  # Another app on the same house, set up in another way.
  def built(...) = ApiSupport.built(...)

  def csrf = @csrf ||= JSON.parse(get("/api/session").body)["csrf"]

  def sign_in(who)
    services.database.outside do |db|
      db[:accounts].where(id: who.account_id).update(
        password_hash: Argon2::Password.new(t_cost: 1, m_cost: 5).create("a long password")
      )
    end
    email = services.database.outside { |db| db[:accounts].where(id: who.account_id).get(:email) }
    send_json("/api/login", { login: email, password: "a long password" })
    @csrf = nil
    who
  end

  def ask(path, params = {}, headers = {})
    get(path, params, headers)
    checked("get", path)
  end

  def tell(path, body = {}, key: key!, token: csrf, headers: {})
    send_json(path, body, key: key, token: token, headers: headers)
    checked("post", path)
  end

  def send_json(path, body, key: key!, token: csrf, headers: {})
    text = body.is_a?(String) ? body : JSON.generate(body)
    post(
      path,
      text,
      { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token, "HTTP_IDEMPOTENCY_KEY" => key }.merge(
        headers
      ).compact
    )
  end

  def checked(verb, path)
    faults = Checker.faults(verb, path.split("?").first, last_response)
    if faults.any?
      raise "The answer to #{verb} #{path} breaks the contract: #{faults.first(3).join("; ")}\n#{last_response.body[0,
        400]}"
    end

    last_response.headers["content-type"].to_s.include?("json") ? JSON.parse(last_response.body) : last_response.body
  end

  def status = last_response.status
end

RSpec.configure { |config| config.include ApiSupport, :api }
