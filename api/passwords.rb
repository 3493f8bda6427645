# frozen_string_literal: true

require "argon2"

module NutShelf
  module Api
    # Passwords: hashed in one way, few at a time, and none that everybody tries first.
    module Passwords
      # Argon2id with 2 passes over 64 MiB: the parameters public guidance names for sign-in.
      COST = { t_cost: 2, m_cost: 16 }.freeze
      SHORTEST = 10
      LETTERS = 5
      # Hashing takes 64 MiB a time: more than two at once would let strangers fill the memory.
      AT_ONCE = SizedQueue.new(2)
      COMMON = %w[
        password passwort motdepasse contrasena qwertyuiop asdfghjkl letmein iloveyou 1234567890 0987654321 abcdefghij
        administrator welcome1234 nutshelf kestrel
      ].freeze
      # Something to compare with when there is no account, so that an unknown name takes as long as a wrong password.
      NOBODY = Argon2::Password.new(**COST).create("nobody has this password")

      module_function

      # @return [String] what is stored
      def hash(password) = in_turn { Argon2::Password.new(**COST).create(password) }

      # @param hash [String]
      # @return [Boolean]
      def match?(hash, password) = in_turn { Argon2::Password.verify_password(password, hash) }

      # @return [String, nil] what is wrong with a new password
      def fault(password)
        return "It needs at least #{SHORTEST} letters, digits or signs." if password.length < SHORTEST
        return "It repeats too few letters." if password.downcase.chars.uniq.size < LETTERS

        if COMMON.any? do |word|
             password.downcase.gsub(/[^\p{L}\d]/, "").start_with?(word) && password.length < word.length + 6
           end
          "It is one that everybody tries first."
        end
      end

      def in_turn
        AT_ONCE.push(:turn)
        yield
      ensure
        AT_ONCE.pop
      end
    end
  end
end
